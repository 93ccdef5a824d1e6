import { expect, test } from 'vitest';
import { typedOn } from './useCompletion';

const found = {
  from: 7,
  to: 9,
  offers: [
    { text: 'cabin', words: 'its cabin' },
    { text: 'card', words: 'its card' },
  ],
  asked: { text: 'record.ca == 1', at: 9 },
};

test('an answer for a text that is typed on replaces all that was typed', () => {
  const now = typedOn(found, 'record.cab == 1', 10);
  expect(now?.to).toBe(10);
  expect(now?.offers.map((o) => o.text)).toEqual(['cabin']);
});

test('an answer for just this text stays as it is', () => {
  expect(typedOn(found, 'record.ca == 1', 9)).toBe(found);
});

test('an answer for another text is none', () => {
  expect(typedOn(found, 'record.c == 1', 8)).toBeUndefined(); // taken back
  expect(typedOn(found, 'recorx.cab == 1', 10)).toBeUndefined(); // changed before it
  expect(typedOn(found, 'record.cab == 2', 10)).toBeUndefined(); // changed behind it
});

import { expect, test } from 'vitest';
import type { View } from '../../api/client';
import { claimsOf, headingClaim } from './claims';

const view = {
  screen: 's_a',
  heading: 'Cabin 087',
  elements: [
    { id: 'e_list', kind: 'list', state: 'shown', list: { count: 7 } },
    { id: 'e_long', kind: 'list', state: 'shown', list: { count: 50, more: true } },
    { id: 'e_shut', kind: 'button', state: 'greyed', reason: 'It is closed.', button: { words: 'Edit' } },
    { id: 'e_note', kind: 'text', state: 'shown', text: { words: 'x'.repeat(60) } },
  ],
  rails: [{ id: 'ra', elements: [{ id: 'e_home', kind: 'button', state: 'shown', button: { words: 'Start' } }] }],
} as unknown as View;

const said = (id: string) => claimsOf(view, id).map((c) => c.words);

test('what one looks at can be claimed', () => {
  expect(said('e_list')).toEqual(['it is open', 'it has 7 rows']);
  expect(said('e_long')).toEqual(['it is open']); // how many is not known
  expect(said('e_shut')).toEqual(['it is greyed: It is closed.']);
  expect(said('e_home')).toEqual(['it is open', 'it shows “Start”']);
  expect(said('e_note')[1]).toBe(`it shows “${'x'.repeat(47)}…”`);
  expect(said('e_gone')).toEqual([]);
  expect(claimsOf(undefined, 'e_list')).toEqual([]);
});

test('a claim is a step with all that is claimed', () => {
  expect(claimsOf(view, 'e_shut')[0]?.step).toEqual({
    does: 'claim',
    screen: 's_a',
    element: 'e_shut',
    is: 'greyed',
    words: 'It is closed.',
  });
  expect(headingClaim(view).step).toEqual({ does: 'claim', is: 'at', screen: 's_a', words: 'Cabin 087' });
});

import { expect, test } from 'vitest';
import { sameBut } from './useStill';

const place = { screen: 's_drive' };
const view = { place, heading: 'Drive room', elements: [1], rails: undefined as number[] | undefined };

test('what is left out may differ, all else may not', () => {
  expect(sameBut(view, { ...view, elements: [2] }, ['elements'])).toBe(true);
  expect(sameBut(view, { ...view, elements: [2] }, [])).toBe(false);
  expect(sameBut(view, { ...view, heading: 'Line' }, ['elements'])).toBe(false);
});

test('what is new, and what is gone, is a difference; a part made anew is another', () => {
  expect(sameBut(view, { ...view, rails: [1] }, ['elements'])).toBe(false);
  expect(sameBut({ ...view, rails: [1] }, view, ['elements'])).toBe(false);
  expect(sameBut(view, { ...view, place: { ...place } }, ['elements'])).toBe(false);
});

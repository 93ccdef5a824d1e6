import { expect, test } from 'vitest';
import { baseCss } from './base';
import { system } from './theme';

test('what stands in every page is written as text, in its layers, by day and by night', () => {
  const css = baseCss();
  expect(css.startsWith('@layer reset,base,tokens,recipes;')).toBe(true);
  for (const layer of ['reset', 'base', 'tokens']) expect(css).toContain(`@layer ${layer}{`);
  for (const token of ['muted', 'paper', 'amber']) {
    const name = system.token.var(`colors.${token}`).slice('var('.length, -1);
    expect(css.split(`${name}:`).length, name).toBeGreaterThanOrEqual(3); // one for each theme
  }
  expect(css).toContain('@keyframes fade-in{');
});

test('the page writes none of it a second time', () => expect(system._global).toEqual([]));

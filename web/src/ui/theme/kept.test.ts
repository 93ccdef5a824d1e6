import { serializeStyles } from '@emotion/serialize';
import { expect, test } from 'vitest';
import { kept } from './kept';
import { system } from './theme';

const quick = kept(system);
const written = (styles: ReturnType<typeof system.css>) => serializeStyles([styles]).styles;

test('styles are what the library makes of them, the first time and each time after', () => {
  const sets = [
    [{}, { color: 'muted', px: '3', _hover: { bg: 'amberSoft' } }],
    [{}, { color: 'muted', px: 3 }],
    [{}, { color: 'muted', px: '3' }],
    [{}, { display: { base: 'none', md: 'flex' }, zIndex: 'modal' }],
    [{}, { display: ['none', 'flex'] }],
    [{ color: 'ink' }, { _dark: { color: 'paper' } }, { color: 'muted' }],
    [{ color: 'ink' }, { color: undefined }],
    [undefined, {}],
  ] as Parameters<typeof system.css>[];
  for (const _again of [1, 2])
    for (const set of sets) expect(written(quick.css(...set))).toBe(written(system.css(...set)));
});

test('what is given as another kind of value, or in another place, is another set', () => {
  const names = [[{ opacity: 1 }], [{ opacity: '1' }], [{ opacity: 1 }, {}], [{}, { _hover: { opacity: 1 } }]].map(
    (set) => written(quick.css(...(set as Parameters<typeof system.css>))),
  );
  expect(names[3]).not.toBe(names[0]);
  expect(names[0]).toBe(written(system.css({ opacity: 1 })));
});

test('no set is taken for another that reads alike', () => {
  const alike = [
    [{ color: '1;bg:2' }],
    [{ color: '1', bg: '2' }],
    [{ color: '1' }, { bg: '2' }],
    [{ zIndex: 1 }],
    [{ zIndex: '#1' }],
    [{ zIndex: '{"a":1}' }],
  ];
  for (const set of alike as Parameters<typeof system.css>[])
    expect(written(quick.css(...set))).toBe(written(system.css(...set)));
});

test('a recipe is made once, and says the same with variants and without', () => {
  const plainly = { base: { color: 'ink' } };
  expect(quick.cva(plainly)).toBe(quick.cva(plainly));
  expect(quick.cva(plainly)({})).toEqual(system.cva(plainly)({}));
  const sized = { base: { color: 'ink' }, variants: { size: { sm: { px: '1' }, lg: { px: '4' } } } };
  for (const size of ['sm', 'lg'] as const) expect(quick.cva(sized)({ size })).toEqual(system.cva(sized)({ size }));
  expect(quick.cva(sized)({ size: 'sm' })).not.toEqual(quick.cva(sized)({ size: 'lg' }));
});

test('what is a style and what an attribute stays so', () => {
  for (const prop of ['color', 'px', '_hover', 'onClick', 'href', 'data-stage', 'css'])
    for (const _again of [1, 2]) expect(quick.isValidProperty(prop)).toBe(system.isValidProperty(prop));
});

import { expect, test } from 'vitest';
import { contrast } from './contrast';
import { pairs, paletteNames, paletteSheet, usual } from './palette';

test('a palette is a sheet of styles by day and by night', () => {
  expect(paletteSheet({ ground: { light: '#ffffee' }, bad: { light: '#aa0000', dark: '#ff8888' } })).toBe(
    'html.light { --chakra-colors-paper: #ffffee; --chakra-colors-brick: #aa0000; ' +
      '--chakra-colors-faint: color-mix(in srgb, #ffffee 93%, #20262e); ' +
      '--chakra-colors-muted: color-mix(in srgb, #20262e 68%, #ffffee); }\n' +
      'html.dark { --chakra-colors-brick: #ff8888; }',
  );
  expect(paletteSheet({ doubtful: { dark: '#ffcc00' } }, '[data-stage]')).toBe(
    'html.dark [data-stage]:not(.light), [data-stage].dark { --chakra-colors-amber-text: #ffcc00; }',
  );
  expect(paletteSheet(undefined)).toBe('');
});

test('what is no colour gets into no sheet', () => {
  expect(paletteSheet({ ground: { light: 'red; } * { display: none' }, other: { light: '#ffffff' } })).toBe('');
});

test('the usual colours read on each other', () => {
  expect(paletteNames.length).toBe(8);
  for (const look of ['light', 'dark'] as const)
    for (const [name, ground, least] of pairs)
      expect(contrast(usual(name, look), usual(ground, look)), `${name} on ${ground}, ${look}`).toBeGreaterThanOrEqual(
        least,
      );
});

import { expect, test } from 'vitest';
import { dressSheet, groundOf, inkOf } from './style';

test('colours of one’s own are named by day and by night, each with what reads on it', () => {
  const sheet = dressSheet({ style: { colours: { co_roof: { light: '#aa3311', dark: '#ffccbb' } } } });
  expect(sheet).toContain('--own-co_roof: #aa3311; --on-co_roof: #ffffff;');
  expect(sheet).toContain('--own-co_roof: #ffccbb; --on-co_roof: #000000;');
  expect(sheet.split('\n').find((l) => l.startsWith('html.dark'))).toContain('#ffccbb');
  expect([groundOf('co_roof'), inkOf('co_roof'), groundOf('#102030'), inkOf('#102030')]).toEqual([
    'var(--own-co_roof)',
    'var(--on-co_roof)',
    '#102030',
    '#ffffff',
  ]);
});

test('a colour of the palette has its name, as the application has it or the usual one', () => {
  const sheet = dressSheet({ palette: { going: { light: '#123456' } } });
  expect(sheet).toContain('--own-going: #123456;');
  expect(sheet).toContain('--own-accent: ');
});

test('all buttons of a look, corners and texts; within the part that is dressed alone', () => {
  const sheet = dressSheet(
    {
      style: {
        buttons: { main: { colour: 'going' }, plain: { colour: '#224466', drawn: 'outlined' } },
        corners: 'round',
        text: 'large',
      },
    },
    '[data-stage]',
  );
  expect(sheet).toContain('[data-stage] .face[data-tone=main]:hover { background: var(--own-going);');
  expect(sheet).toContain('background: transparent; border-color: #224466; color: #224466;');
  expect(sheet).toContain('--chakra-font-sizes-text: 17px;');
  expect(sheet).toContain('--corner: 12px;');
  for (const line of sheet.split('\n')) expect(line).toContain('[data-stage]');
});

test('what is no colour and no name gets into no sheet', () => {
  const sheet = dressSheet({
    style: {
      colours: { 'co_x; } * { display': { light: '#ffffff' }, co_y: { light: 'red; }' } },
      buttons: { main: { colour: 'red; } * {' }, 'plain] {': { colour: 'going' } },
    },
  });
  expect(sheet).not.toContain('co_x');
  expect(sheet).not.toContain('co_y');
  expect(sheet).not.toContain('.face');
});

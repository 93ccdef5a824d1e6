import { expect, test } from 'vitest';
import type { Finding, WayOut } from '../../api/client';
import { numbersOf, outPlates } from './plates';

const way = (element: string, target: string | undefined, kind = 'screen'): WayOut => ({
  element,
  wiring: element,
  gate: '',
  trigger: 'release',
  words: element,
  kind,
  target,
  title: target ?? kind,
  glyph: 'form',
  how: 'view',
  state: 'open',
  now: '',
  verdict: { state: 'open' },
  sentence: [],
});

test('ways to one target share a plate; findings come first', () => {
  const words = 'Nothing is wired.';
  const findings: Finding[] = [{ check: 'no-way-behind', severity: 'broken', screen: 's', element: 'e_3', words }];
  const none = way('e_3', undefined, 'none');
  const stays = [way('e_4', undefined, 'stay'), way('e_5', undefined, 'stay')];
  const plates = outPlates([way('e_1', 's_x'), way('e_2', 's_x'), none, ...stays], findings);
  expect(plates.map((p) => p.ways.map((w) => w.element))).toEqual([['e_3'], ['e_1', 'e_2'], ['e_4'], ['e_5']]);
  expect(numbersOf(plates)).toEqual({ e_3: 1, e_1: 2, e_2: 2, e_4: 3, e_5: 4 });
});

test('what is broken comes before what is doubtful', () => {
  const finding = (element: string, severity: Finding['severity']): Finding => ({
    check: 'x',
    severity,
    screen: 's',
    element,
    words: 'w',
  });
  const plates = outPlates(
    [way('e_1', 's_x'), way('e_2', 's_y'), way('e_3', 's_z')],
    [finding('e_2', 'doubtful'), finding('e_3', 'broken')],
  );
  expect(plates.map((p) => p.target)).toEqual(['s_z', 's_y', 's_x']);
});

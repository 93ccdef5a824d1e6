import { expect, test } from 'vitest';
import type { Finding } from '../../api/client';
import { acceptance, mendsForSeveral, shownFindings } from './findings';

const finding = (screen: string, more: Partial<Finding> = {}): Finding => ({
  check: 'no-way-back',
  severity: 'broken',
  screen,
  words: `No way back from ${screen}.`,
  ...more,
});

test('what is accepted is shown only when it is asked for', () => {
  const lived = finding('s_b', {
    accepted: { id: 'ac_1', because: 'a poster', by: 'Bea', at: '2026-11-29T10:00:00Z' },
  });
  const all = [finding('s_a'), lived];
  const shown = { severity: '', check: '', screen: '', accepted: false };
  expect(shownFindings(all, shown)).toEqual([all[0]]);
  expect(shownFindings(all, { ...shown, accepted: true })).toHaveLength(2);
  expect(shownFindings(all, { ...shown, severity: 'note' })).toHaveLength(0);
});

test('mends of one kind are one edit; what is accepted, or mended one by one, is not among them', () => {
  const mend = (screen: string) => ({
    mends: [{ words: 'add one', patch: [{ op: 'add', path: `/${screen}/x`, value: 1 }] }],
  });
  const several = mendsForSeveral([
    finding('s_a', mend('s_a')),
    finding('s_b', mend('s_b')),
    finding('s_c', { ...mend('s_c'), check: 'trap' }),
    finding('s_d', { ...mend('s_d'), accepted: { id: 'x', because: 'y', by: 'z', at: '' } }),
  ]);
  expect(several).toHaveLength(1);
  expect(several[0]).toMatchObject({ words: 'add one', count: 2 });
  expect(several[0]?.patch.map((o) => o.path)).toEqual(['/s_a/x', '/s_b/x']);
});

test('an acceptance names just the place that the finding has', () => {
  const op = acceptance('ac_1', finding('s_a', { element: 'e_1' }), 'it is a poster', 'Bea', 3);
  expect(op.value).toMatchObject({
    kind: 'acceptance',
    screen: 's_a',
    element: 'e_1',
    because: 'it is a poster',
    by: 'Bea',
  });
  expect(op.value).not.toHaveProperty('entity');
});

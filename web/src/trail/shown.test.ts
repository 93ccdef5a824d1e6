import { expect, test } from 'vitest';
import type { ElementView, Shown } from '../api/client';
import { stale } from '../screen/kinds/all';
import { mapped, merged, replaced } from './shown';

const text = (id: string, words: string): ElementView => ({
  id,
  kind: 'text',
  cell: { row: 1, col: 1, w: 1 },
  state: 'shown',
  text: { words, style: 'plain' },
});
const view = (...elements: ElementView[]) => ({
  screen: 's',
  type: 'menu',
  title: '',
  heading: '',
  mode: 'view',
  place: { screen: 's', mode: 'view' },
  address: '',
  elements,
});
const of = (...elements: ElementView[]): Shown => ({
  trail: 't',
  n: 1,
  release: 1,
  view: view(...elements),
  overlays: [{ as: 'dialog', view: view(text('o', 'over')) }],
  home: '',
  user: '',
  roles: [],
});
const words = (v: { elements: ElementView[] } | undefined) =>
  v?.elements.map((e) => (e.kind === 'text' ? `${e.id} ${e.text.words}` : e.id));

test('changed elements take their places; new ones come last, others go', () => {
  const s = merged(of(text('a', '1'), text('b', '1'), text('c', '1')), 0, [text('b', '2'), text('d', '1')], ['a']);
  expect(words(s.view)).toEqual(['b 2', 'c 1', 'd 1']);
});

test('what is resolved anew for a dialog leaves the place below as it is', () => {
  const s = replaced(of(text('a', '1')), 1, [text('o', 'new'), text('a', '2')]);
  expect(words(s.view)).toEqual(['a 1']);
  expect(words(s.overlays?.[0]?.view)).toEqual(['o new']);
});

test('nothing comes in any more: live values are not known, buttons that write are greyed', () => {
  const head = { cell: { row: 1, col: 1, w: 1 }, state: 'shown' as const };
  const s = mapped(
    of(
      {
        id: 'g',
        kind: 'gauge',
        ...head,
        gauge: { words: 'Speed', value: 4, shown: '4.0', state: 'known', min: 0, max: 6, low: 0, high: 0 },
      },
      { id: 'l', kind: 'lamp', ...head, lamp: { words: 'Running', state: 'on', shown: 'runs', abnormal: true } },
      { id: 'w', kind: 'button', ...head, button: { words: 'Stop', tone: 'stop', trigger: 'release', writes: true } },
      { id: 'b', kind: 'button', ...head, button: { words: 'Back', tone: 'plain', trigger: 'release' } },
      text('t', 'x'),
    ),
    (e) => stale(e, 'gone'),
  );
  const [g, l, w, b, t] = s.view.elements;
  expect(g).toMatchObject({ reason: 'gone', gauge: { state: 'unknown', shown: '–' } });
  expect(g?.kind === 'gauge' && g.gauge.value).toBeUndefined();
  expect(l).toMatchObject({ lamp: { state: 'unknown', abnormal: false } });
  expect([w?.state, b?.state, t?.state]).toEqual(['greyed', 'shown', 'shown']);
});

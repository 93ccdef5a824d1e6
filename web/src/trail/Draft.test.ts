import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { type KeptDraft, Refused, type View } from '../api/client';
import { Draft, type DraftBody } from './Draft';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

function form(values: Record<string, string>, version = 'v1'): View {
  return {
    screen: 's',
    type: 'form',
    title: '',
    heading: '',
    mode: 'edit',
    place: { screen: 's', mode: 'edit' },
    address: '',
    record: { table: 't', key: '1', title: '', version },
    elements: Object.entries(values).map(([path, value], i) => ({
      id: `e_${path}`,
      kind: 'field',
      cell: { row: i + 1, col: 1, w: 4 },
      state: 'shown',
      field: { path, label: path, type: 'text', value, words: value, state: 'known' },
    })),
  };
}

function draft(view: View, found?: KeptDraft, refuse?: () => Refused | undefined, keeps = true) {
  const kept: DraftBody[] = [];
  const d = new Draft(
    view,
    found,
    async (body) => {
      const no = refuse?.();
      if (no) throw no;
      kept.push(body);
      return { id: Object.keys(body.values).length > 0 ? 'd1' : undefined };
    },
    keeps,
  );
  return { draft: d, kept };
}

test('half a second after typing stops it is kept, with what it was before', async () => {
  const { draft: d, kept } = draft(form({ f_a: 'old', f_b: '' }));
  d.type('f_a', 'n');
  await vi.advanceTimersByTimeAsync(400);
  d.type('f_a', 'new');
  await vi.advanceTimersByTimeAsync(400);
  expect(kept).toEqual([]);
  await vi.advanceTimersByTimeAsync(200);
  expect(kept).toEqual([{ id: undefined, values: { f_a: 'new' }, base: { f_a: 'old' }, version: 'v1' }]);
  d.type('f_b', 'x');
  await d.flush();
  expect(kept[1]).toMatchObject({ id: 'd1', values: { f_a: 'new', f_b: 'x' } });
});

test('what is typed back to what it was is no change any more', async () => {
  const { draft: d, kept } = draft(form({ f_a: 'old' }));
  d.type('f_a', 'new');
  expect(d.dirty).toBe(true);
  d.type('f_a', 'old');
  expect(d.dirty).toBe(false);
  await vi.advanceTimersByTimeAsync(1000);
  expect(kept).toEqual([]);
});

test('what was found is gone on with, over what the fields were when it was begun', () => {
  const found: KeptDraft = { id: 'd0', at: '', values: { f_a: 'mine' }, base: { f_a: 'then' }, version: 'v0' };
  const { draft: d } = draft(form({ f_a: 'now', f_b: 'b' }), found);
  d.type('f_b', 'c');
  expect(d.form()).toEqual({ values: { f_a: 'mine', f_b: 'c' }, base: { f_a: 'then', f_b: 'b' }, version: 'v0' });
  expect(d.kept).toBe('d0');
});

test('what comes in later does not change what it was begun on; starting anew does', () => {
  const { draft: d } = draft(form({ f_a: 'one' }));
  d.type('f_a', 'x');
  d.restart(form({ f_a: 'two' }, 'v2'));
  expect(d.dirty).toBe(false);
  d.type('f_a', 'y');
  expect(d.form()).toEqual({ values: { f_a: 'y' }, base: { f_a: 'two' }, version: 'v2' });
});

test('after saving nothing of it is kept any more', async () => {
  const { draft: d, kept } = draft(form({ f_a: '' }));
  d.type('f_a', 'x');
  await d.flush();
  d.type('f_a', 'xy');
  d.settle();
  d.restart(form({ f_a: 'xy' }, 'v2'));
  await vi.advanceTimersByTimeAsync(1000);
  expect(kept).toHaveLength(1);
});

test('another tab has gone on with it: that is told, until it is taken back', async () => {
  let no: Refused | undefined = new Refused({ code: 'draft-taken', what: '' }, 409);
  const { draft: d, kept } = draft(form({ f_a: '' }), undefined, () => no);
  d.type('f_a', 'x');
  await d.flush();
  expect(d.state.taken).toBe(true);
  no = undefined;
  d.adopt({ id: 'd9', values: { f_a: 'there' } });
  expect(d.state.taken).toBe(false);
  await d.flush();
  expect(kept).toEqual([{ id: 'd9', values: { f_a: 'x' }, base: { f_a: '' }, version: 'v1' }]);
});

test('where nobody answers it is tried again with the next change; a screen that is only looked at keeps nothing', async () => {
  let no: Refused | undefined = new Refused({ code: 'no-answer', what: '' }, 0);
  const { draft: d, kept } = draft(form({ f_a: '' }), undefined, () => no);
  d.type('f_a', 'x');
  await d.flush();
  no = undefined;
  await d.flush();
  expect(kept).toHaveLength(1);
  const looked = draft(form({ f_a: '' }), undefined, undefined, false);
  looked.draft.type('f_a', 'x');
  await looked.draft.flush();
  expect(looked.kept).toEqual([]);
});

test('a form that is left keeps nothing by itself', async () => {
  const { draft: d, kept } = draft(form({ f_a: '' }));
  d.type('f_a', 'x');
  d.end();
  await vi.advanceTimersByTimeAsync(1000);
  expect(kept).toEqual([]);
});

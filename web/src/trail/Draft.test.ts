import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { type KeptDraft, Refused, type View } from '../api/client';
import { Draft, type DraftBody } from './Draft';
import { unsentIn } from './unsent';

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
      field: {
        path,
        label: path,
        type: 'text',
        value,
        words: value,
        state: 'known',
        editable: true,
        secret: path === 'f_pin',
      },
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

/** The storage of a tab, and forms that are opened in it one after the other. */
function tab(answer: () => Promise<{ id?: string }>) {
  const kept = new Map<string, string>();
  const storage = {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => void kept.set(k, v),
    removeItem: (k: string) => void kept.delete(k),
  };
  const open = (view: View, n = 1, found?: KeptDraft) =>
    new Draft(view, found, answer, true, unsentIn(storage, { trail: 't', n, depth: 0 }, view));
  return { kept, open };
}

test('what the server has not got yet is found again after a reload, and sent', async () => {
  const slow = tab(() => new Promise(() => undefined));
  const before = slow.open(form({ f_a: 'old', f_pin: '' }));
  before.type('f_a', 'typed');
  before.type('f_pin', '1234');
  void before.flush(true); // on its way when the page goes
  before.end();
  const after = slow.open(form({ f_a: 'old', f_pin: '' }));
  expect(after.form()).toMatchObject({ values: { f_a: 'typed' }, base: { f_a: 'old' }, version: 'v1' });
  expect(after.found?.at).toBeTruthy();
  expect([...slow.kept.values()].join()).not.toContain('1234'); // secrets are never kept
  expect(slow.open(form({ f_a: 'old' }), 2).dirty).toBe(false); // another place of the trail
  expect(slow.open(form({ f_a: 'typed' })).dirty).toBe(false); // it was saved meanwhile
});

test('what the server has, or what was saved or forgotten, is not kept by the tab', async () => {
  const quick = tab(async () => ({ id: 'd1' }));
  const d = quick.open(form({ f_a: '' }));
  d.type('f_a', 'x');
  expect(quick.kept.size).toBe(1);
  await d.flush();
  expect(quick.kept.size).toBe(0);
  d.type('f_a', 'xy');
  d.settle();
  expect(quick.kept.size).toBe(0);
  d.type('f_a', 'xyz');
  d.restart(form({ f_a: 'z' }));
  expect(quick.kept.size).toBe(0);
});

/** A draft whose keeping takes until it is let go on, one after the other. */
function slow(view: View) {
  const arrived: string[] = [];
  const waiting: (() => void)[] = [];
  const d = new Draft(view, undefined, async (body) => {
    await new Promise<void>((go) => waiting.push(go));
    arrived.push(JSON.stringify(body.values));
    return { id: Object.keys(body.values).length > 0 ? 'd1' : undefined };
  });
  const goOn = async () => {
    waiting.shift()?.();
    await vi.advanceTimersByTimeAsync(1000);
  };
  return { draft: d, arrived, goOn };
}

test('what is given up is given up after what was on its way; nothing of it is kept again', async () => {
  const { draft: d, arrived, goOn } = slow(form({ f_a: '' }));
  d.type('f_a', 'half a name');
  await vi.advanceTimersByTimeAsync(600);
  d.type('f_a', 'half a name, and more');
  const given = d.forget();
  await goOn();
  await goOn();
  await given;
  void d.flush();
  await goOn();
  expect(arrived).toEqual(['{"f_a":"half a name"}', '{}']);
});

test('what was saved while it was on its way to be kept is not there as typed afterwards', async () => {
  const view = form({ f_a: '' });
  const { draft: d, arrived, goOn } = slow(view);
  d.type('f_a', 'new');
  await vi.advanceTimersByTimeAsync(600);
  d.settle();
  d.restart(form({ f_a: 'new' }, 'v2'));
  await goOn();
  await goOn();
  expect(arrived).toEqual(['{"f_a":"new"}', '{}']);
  expect(d.kept).toBeUndefined();
});

test('what is typed while the words before are on their way comes after them', async () => {
  const { draft: d, arrived, goOn } = slow(form({ f_a: '' }));
  d.type('f_a', 'one');
  void d.flush();
  d.type('f_a', 'one two');
  void d.flush();
  await vi.advanceTimersByTimeAsync(600);
  expect(arrived).toEqual([]);
  await goOn();
  await goOn();
  await goOn();
  expect(arrived).toEqual(['{"f_a":"one"}', '{"f_a":"one two"}']);
});

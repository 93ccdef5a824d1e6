import { describe, expect, test } from 'vitest';
import { Refused, type Shown } from '../api/client';
import type { Pointer } from './pointer';
import { type TabHistory, Trail, type TrailCalls } from './Trail';

// A tab whose history is a list of entries, and a server that answers what it is told to.

function shown(n: number, more: Partial<Shown> = {}): Shown {
  const view = {
    screen: `s_${n}`,
    type: 'menu',
    title: '',
    heading: '',
    mode: 'view',
    place: { screen: `s_${n}`, mode: 'view' },
    address: `/p${n}`,
    elements: [],
  };
  return { trail: 't', n, release: 1, view, home: '', user: '', roles: [], ...more };
}

const dialog = (n: number) => ({ as: 'dialog', view: shown(n).view });
const away = new Refused({ code: 'no-answer', what: 'Away.' }, 0);
const no = (status: number, code = 'no-record') => new Refused({ code, what: 'No.' }, status);

function tab(options: { entries?: unknown[]; kept?: Record<string, string>; claims?: boolean; from?: Pointer } = {}) {
  const log: string[] = [];
  const kept = new Map(Object.entries(options.kept ?? {}));
  const entries: unknown[] = options.entries ?? [null];
  let at = entries.length - 1;
  const history: TabHistory = {
    here: () => ({ state: entries[at], before: at }),
    put: (address, state, replace) => {
      log.push(`${replace ? 'replace' : 'push'} ${address} ${state.n}.${state.depth ?? 0}`);
      if (!replace) at++;
      entries.splice(at, entries.length, state);
    },
    step: (by) => {
      log.push(`step ${by}`);
      at += by;
    },
    kept: (name) => kept.get(name),
    keep: (name, value) => kept.set(name, value),
    claim: async () => options.claims ?? true,
    openedFrom: () => options.from,
  };
  return { history, log, kept };
}

function server(answers: (Shown | Refused)[]) {
  const asked: string[] = [];
  const next = (what: string) => async (body: object) => {
    asked.push(`${what} ${JSON.stringify(body)}`);
    const answer = answers.shift();
    if (answer instanceof Refused) throw answer;
    if (!answer) throw new Error(`${what} was not expected`);
    return answer;
  };
  const calls: TrailCalls = { open: next('open'), fork: next('fork'), go: next('go') };
  return { calls, asked };
}

const now = async () => {};
const entry = (address: string, state: unknown = null, popped = true) => ({ address, state, popped });

describe('the first place of a page', () => {
  test('is that of its address, with nothing known before', async () => {
    const { history, log, kept } = tab();
    const { calls, asked } = server([shown(1)]);
    const trail = new Trail('p', calls, history, now);
    await trail.arrive(entry('/use/p/p1?x=2'));
    expect(asked).toEqual(['open {"address":"/p1?x=2"}']);
    expect(trail.state.shown?.n).toBe(1);
    expect(log).toEqual(['replace /use/p/p1 1.0']);
    expect(kept.get('ambergate.trail.p')).toBe('t');
  });

  test('goes on with the trail that the tab kept, at the place of its pointer', async () => {
    const { history } = tab({ kept: { 'ambergate.trail.p': 'old' } });
    const { calls, asked } = server([shown(3), shown(5)]);
    await new Trail('p', calls, history, now).arrive(entry('/use/p/p3'));
    await new Trail('p', calls, history, now).arrive(entry('/use/p/p5', { trail: 't', n: 5 }));
    expect(asked).toEqual(['open {"address":"/p3","trail":"old"}', 'open {"address":"/p5","trail":"t","n":5}']);
  });

  test('a new tab knows where it was opened from', async () => {
    const { history } = tab({ from: { trail: 'other', n: 7 } });
    const { calls, asked } = server([shown(1)]);
    await new Trail('p', calls, history, now).arrive(entry('/use/p/p1'));
    expect(asked).toEqual(['open {"address":"/p1","from":{"trail":"other","n":7}}']);
  });

  test('a duplicated tab goes its own way, and its older entries mean its own trail', async () => {
    const { history, kept } = tab({ claims: false });
    const { calls, asked } = server([shown(4, { trail: 'own' })]);
    const trail = new Trail('p', calls, history, now);
    await trail.arrive(entry('/use/p/p4', { trail: 't', n: 4 }));
    expect(asked).toEqual(['fork {"trail":"t","n":4}']);
    expect(kept.get('ambergate.fork.t')).toBe('own');
  });

  test('where the other trail is gone, its address is opened', async () => {
    const { history } = tab({ claims: false });
    const { calls, asked } = server([no(404), shown(1)]);
    await new Trail('p', calls, history, now).arrive(entry('/use/p/p1', { trail: 't', n: 1 }));
    expect(asked.map((a) => a.split(' ')[0])).toEqual(['fork', 'open']);
  });
});

test('what comes live is no answer; each answer is told, as one may be older than what came live before it', async () => {
  const { history } = tab();
  const { calls } = server([shown(1)]);
  const trail = new Trail('p', calls, history, now);
  await trail.arrive(entry('/use/p/p1'));
  trail.change((s) => ({ ...s, user: 'live' }));
  expect(trail.state.answers).toBe(1);
  trail.show(shown(1));
  trail.replace(0, []);
  expect(trail.state.answers).toBe(3);
});

describe('what is shown is pointed to by the history', () => {
  const at = async (first: Shown, entries: unknown[] = [null]) => {
    const t = tab({ entries });
    const s = server([first]);
    const trail = new Trail('p', s.calls, t.history, now);
    await trail.arrive(entry('/use/p/x'));
    t.log.length = 0;
    return { trail, ...t };
  };

  test('a place further on is an entry more, the one before is the browser’s own back', async () => {
    const { trail, log } = await at(shown(1));
    trail.show(shown(2));
    trail.show(shown(1));
    trail.show(shown(9, { trail: 'another' }));
    expect(log).toEqual(['push /use/p/p2 2.0', 'step -1', 'replace /use/p/p9 9.0']);
  });

  test('a dialog is an entry of its own, which closing it takes away', async () => {
    const { trail, log } = await at(shown(1));
    trail.show(shown(1, { overlays: [dialog(8)] }));
    trail.show(shown(1));
    expect(log).toEqual(['push /use/p/p1 1.1', 'step -1']);
  });

  test('from inside a dialog a further place takes the dialog’s entry', async () => {
    const { trail, log } = await at(shown(1));
    trail.show(shown(1, { overlays: [dialog(8)] }));
    trail.show(shown(2));
    expect(log.at(-1)).toBe('replace /use/p/p2 2.0');
  });
});

describe('the browser went somewhere', () => {
  test('to another place of the trail; an entry that show pushed is left alone', async () => {
    const { history } = tab();
    const { calls, asked } = server([shown(2), shown(1)]);
    const trail = new Trail('p', calls, history, now);
    await trail.arrive(entry('/use/p/p2'));
    await trail.arrive(entry('/use/p/p3', { trail: 't', n: 3 }, false));
    await trail.arrive(entry('/use/p/p1', { trail: 't', n: 1 }));
    expect(asked.slice(1)).toEqual(['go {"trail":"t","n":1,"to":"place"}']);
    expect(trail.state.shown?.n).toBe(1);
  });

  test('back over two dialogs closes both', async () => {
    const { history } = tab();
    const { calls, asked } = server([
      shown(1, { overlays: [dialog(8), dialog(9)] }),
      shown(1, { overlays: [dialog(8)] }),
      shown(1),
    ]);
    const trail = new Trail('p', calls, history, now);
    await trail.arrive(entry('/use/p/p1'));
    await trail.arrive(entry('/use/p/p1', { trail: 't', n: 1, depth: 0 }));
    expect(asked.slice(1)).toEqual(['go {"trail":"t","n":1,"to":"close"}', 'go {"trail":"t","n":1,"to":"close"}']);
    expect(trail.state.shown?.overlays).toBeUndefined();
  });

  test('an answer for an earlier entry comes too late', async () => {
    const { history } = tab();
    let answer: (s: Shown) => void = () => {};
    const slow = new Promise<Shown>((done) => {
      answer = done;
    });
    const { calls } = server([]);
    const opens = [slow, Promise.resolve(shown(2))];
    const trail = new Trail('p', { ...calls, open: () => opens.shift() ?? slow }, history, now);
    const first = trail.arrive(entry('/use/p/p1'));
    await trail.arrive(entry('/use/p/p2'));
    answer(shown(1));
    await first;
    expect(trail.state.shown?.n).toBe(2);
  });
});

describe('nobody answers', () => {
  test('it is asked again until somebody does; what is shown stays', async () => {
    const { history } = tab();
    const { calls, asked } = server([shown(1), away, away, shown(2)]);
    const told: boolean[] = [];
    const trail = new Trail('p', calls, history, now);
    await trail.arrive(entry('/use/p/p1'));
    trail.subscribe(() => told.push(trail.state.away !== undefined && trail.state.shown?.n === 1));
    await trail.go('forward');
    expect(asked).toHaveLength(4);
    expect(told).toContain(true);
    expect(trail.state).toMatchObject({ away: undefined, shown: { n: 2 } });
  });

  test('a page that was left asks no more', async () => {
    const { history } = tab();
    const { calls, asked } = server([away, away]);
    const leaving: { trail?: Trail } = {};
    const trail = new Trail('p', calls, history, async () => leaving.trail?.stop());
    leaving.trail = trail;
    await trail.arrive(entry('/use/p/p1'));
    expect(asked).toHaveLength(2); // the one before it was left, and the one that gives up
    expect(trail.state.shown ?? trail.state.refused ?? trail.state.away).toBeUndefined();
  });
});

test('a no stays until it is recovered from, or something else is shown', async () => {
  const { history } = tab();
  const { calls } = server([shown(1), no(403, 'guard'), shown(1)]);
  const trail = new Trail('p', calls, history, now);
  await trail.arrive(entry('/use/p/p1'));
  await trail.go('home');
  expect(trail.state.refused?.problem.code).toBe('guard');
  trail.recover();
  expect(trail.state.refused).toBeUndefined();
  await trail.reload();
  expect(trail.state.shown?.n).toBe(1);
});

test('what is only read again says so, and comes too late where a press has led on', async () => {
  const { history } = tab();
  const { calls, asked } = server([shown(1), shown(1)]);
  const trail = new Trail('p', calls, history, now);
  await trail.arrive(entry('/use/p/p1'));
  const read = trail.refresh();
  trail.show(shown(2)); // where the press leads
  await read;
  expect(asked.at(-1)).toBe('open {"trail":"t","n":1,"again":true}');
  expect(trail.state.shown?.n).toBe(2);
});

test('who goes home while a press is under way goes home, wherever the press leads', async () => {
  const { history } = tab();
  const { calls } = server([shown(1), shown(3)]);
  const trail = new Trail('p', calls, history, now);
  await trail.arrive(entry('/use/p/p1'));
  let over: () => void = () => {};
  trail.hold(
    new Promise<void>((done) => {
      over = done;
    }),
  );
  const home = trail.go('home');
  trail.show(shown(2)); // where the press leads
  over();
  await home;
  expect(trail.state.shown?.n).toBe(3);
  trail.hold(Promise.reject(new Error('it went wrong')));
  const { calls: more } = server([shown(4)]);
  calls.go = more.go;
  await trail.go('back');
  expect(trail.state.shown?.n).toBe(4);
});

test('back, while a press leads to a dialog that is not drawn yet, is back out of that dialog', async () => {
  const { history, log } = tab({ entries: [null, null] });
  const over = shown(2, { overlays: [dialog(3)] });
  const { calls, asked } = server([shown(2), shown(2), shown(1)]);
  const trail = new Trail('p', calls, history, now);
  const gone: string[] = [];
  await trail.arrive(entry('/use/p/p2'));
  trail.hold(Promise.resolve().then(() => trail.show(over)));
  await trail.go('back', undefined, (to) => gone.push(to));
  expect(asked.at(-1)).toBe('go {"trail":"t","n":2,"to":"close"}');
  expect(log.slice(-2)).toEqual(['push /use/p/p2 2.1', 'step -1']); // no entry is left that leads to the dialog
  await trail.go('back', undefined, (to) => gone.push(to));
  expect(asked.at(-1)).toBe('go {"trail":"t","n":2,"to":"back"}');
  expect(gone).toEqual(['close', 'back']);
});

test('what was read again is not shown to who has gone on by then', async () => {
  const { history } = tab();
  let answer: (s: Shown) => void = () => {};
  const slow = new Promise<Shown>((done) => {
    answer = done;
  });
  const opens = [Promise.resolve(shown(1)), slow];
  const { calls } = server([shown(2)]);
  const trail = new Trail('p', { ...calls, open: () => opens.shift() ?? slow }, history, now);
  await trail.arrive(entry('/use/p/p1'));
  const reload = trail.reload();
  await trail.go('forward');
  answer(shown(1));
  await reload;
  expect(trail.state.shown?.n).toBe(2);
});

test('what was read again does not take the place of where the browser’s own back has gone', async () => {
  const { history, log } = tab();
  const waiting: ((s: Shown) => void)[] = [];
  const slow = () => new Promise<Shown>((done) => waiting.push(done));
  const { calls } = server([shown(1), shown(2)]);
  const trail = new Trail('p', calls, history, now);
  await trail.arrive(entry('/use/p/p1'));
  await trail.go('forward');
  calls.open = calls.go = slow;
  const reload = trail.reload();
  history.step(-1); // the browser is there already; the screen is not
  const back = trail.arrive(entry('/use/p/p1', { trail: 't', n: 1 }));
  waiting[0]?.(shown(2));
  await reload;
  expect(trail.state.shown?.n).toBe(2);
  expect(log.at(-1)).toBe('step -1'); // what the browser stands on is not written over
  waiting[1]?.(shown(1));
  await back;
  expect(trail.state.shown?.n).toBe(1);
});

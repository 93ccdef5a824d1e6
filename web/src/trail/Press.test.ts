import { expect, test } from 'vitest';
import { type PressRequest, type PressResult, Refused, type Shown, type View } from '../api/client';
import { Press, type PressHands } from './Press';

// One screen's presses, on a server that answers what it is told to.

const here = { trail: 't', n: 4, release: 2 } as Shown; // all that a press reads of it

function press(answers: (PressResult | Refused)[], more: Partial<PressHands> = {}) {
  const sent: PressRequest[] = [];
  const log: string[] = [];
  const say = (what: string) => (x?: unknown) => {
    log.push(x === undefined ? what : `${what} ${typeof x === 'string' ? x : JSON.stringify(x)}`);
  };
  let id = 0;
  const hands: PressHands = {
    depth: 0,
    shown: () => here,
    form: () => ({ values: { f_a: '1' }, base: { f_a: '0' }, version: 'v' }),
    chosen: () => ({ e_list: '7' }),
    onSend: say('send'),
    onResult: () => log.push('result'),
    post: async (request) => {
      sent.push(request);
      const answer = answers.shift();
      if (answer instanceof Refused) throw answer;
      return answer ?? { kind: 'stayed' };
    },
    postLast: async (request) => {
      sent.push(request);
      return true;
    },
    hold: () => {},
    insist: (call) => call(),
    show: () => log.push('show'),
    fail: say('fail'),
    reload: async () => {
      log.push('reload');
    },
    refresh: async () => {
      log.push('refresh');
    },
    does: async (act) => void log.push(`does ${act.what}`),
    openTab: say('tab'),
    leave: (to, aside) => log.push(`leave ${to} ${aside}`),
    out: async () => {
      log.push('out');
    },
    ...more,
  };
  return { press: new Press(hands, () => `id${++id}`), sent, log };
}

test('a press brings the form, the chosen rows, and where it was pressed', async () => {
  const { press: p, sent, log } = press([{ kind: 'moved', shown: here }]);
  expect(await p.press({ id: 'e_1' }, { row: 'r' })).toEqual({ done: true });
  expect(sent[0]).toEqual({
    press: 'id1',
    trail: 't',
    n: 4,
    release: 2,
    depth: 0,
    element: 'e_1',
    chosen: { e_list: '7' },
    row: 'r',
    values: { f_a: '1' },
    base: { f_a: '0' },
    version: 'v',
  });
  expect(log).toEqual(['send', 'result', 'show']);
  expect(p.state.busy).toBeUndefined();
});

test('a row that is edited brings its own values, and errors beside fields go back to it', async () => {
  const { press: p, sent } = press([new Refused({ code: 'invalid', what: 'No.', fields: { f_b: 'Too long.' } }, 422)]);
  const done = await p.press(
    { id: 'e_l' },
    { trigger: 'keepRow', values: { f_b: 'x' }, base: { f_b: '' }, version: 'w' },
  );
  expect(sent[0]).toMatchObject({ values: { f_b: 'x' }, base: { f_b: '' }, version: 'w' });
  expect(done).toEqual({ done: false, fields: { f_b: 'Too long.' } });
  expect(p.state.errors).toEqual({});
});

test('while one press is under way there is no other', async () => {
  let answer: (r: PressResult) => void = () => {};
  const { press: p, sent } = press([], {
    insist: () =>
      new Promise((done) => {
        answer = done as typeof answer;
      }),
  });
  const first = p.press({ id: 'e_1' });
  expect(p.state.busy).toBe('e_1');
  expect(await p.press({ id: 'e_2' })).toEqual({ done: false });
  answer({ kind: 'stayed' });
  expect(await first).toEqual({ done: true });
  expect(sent).toEqual([]); // nothing was sent by the one that was held back
});

test('a question waits; its answer is put with the same press, and tokens add up', async () => {
  const ask = (token: string): PressResult => ({ kind: 'question', question: { kind: 'confirm', words: '?', token } });
  const { press: p, sent } = press([ask('a'), ask('b'), { kind: 'stayed' }]);
  expect(await p.press({ id: 'e_1' })).toEqual({ done: false });
  expect(p.state.asked?.question.token).toBe('a');
  p.answer({ confirmed: true });
  await Promise.resolve();
  await new Promise((done) => setTimeout(done));
  p.answer({ unsaved: 'drop', picked: { i_1: '5' } });
  await new Promise((done) => setTimeout(done));
  expect(sent.map((r) => r.press)).toEqual(['id1', 'id1', 'id1']);
  expect(sent[2]).toMatchObject({
    confirmed: true,
    unsaved: 'drop',
    values: {},
    picked: { i_1: '5' },
    tokens: ['a', 'b'],
  });
  expect(p.state.asked).toBeUndefined();
});

test('what it comes to is done by the browser, in order', async () => {
  const { press: p, log } = press([
    { kind: 'moved', address: '/x', does: [{ what: 'print' }], leave: 'https://a.example', as: 'tab' },
  ]);
  await p.press({ id: 'e_1' });
  expect(log).toEqual(['send', 'result', 'tab /x', 'does print', 'leave https://a.example true']);
});

test('a list that is refused as a file is told in words; the rest goes on', async () => {
  const { press: p, log } = press([{ kind: 'stayed', does: [{ what: 'export', list: 'e_list' }, { what: 'print' }] }], {
    does: async (act) => {
      if (act.what === 'export') throw new Refused({ code: 'too-much', what: 'It is too long for a file.' }, 400);
      log.push(`does ${act.what}`);
    },
  });
  await p.press({ id: 'e_1' });
  expect(p.state.said).toEqual({ words: 'It is too long for a file.', bad: true });
  expect(log).toEqual(['send', 'result', 'does print']);
});

test('errors beside fields, a no in words, a session that ended, a screen that is not what it was', async () => {
  const of = (code: string, status: number, fields?: Record<string, string>) =>
    // biome-ignore lint/suspicious/noThenProperty: the field of the documented error form
    new Refused({ code, what: 'No.', then: 'Do this.', fields }, status);
  const { press: p, log } = press([
    of('invalid', 422, { f_a: 'Wrong.' }),
    of('right', 403),
    of('signed-out', 401),
    of('greyed', 409),
  ]);
  await p.press({ id: 'e_1' });
  expect(p.state.errors).toEqual({ f_a: 'Wrong.' });
  await p.press({ id: 'e_1' });
  expect(p.state).toMatchObject({ errors: {}, said: { words: 'No. Do this.', bad: true } });
  await p.press({ id: 'e_1' });
  expect(log.filter((l) => l.startsWith('fail'))).toHaveLength(1);
  await p.press({ id: 'e_1' });
  expect(log.at(-1)).toBe('reload');
});

test('commands to the plant are told by what came back', async () => {
  const came = (state: string, reason?: string): PressResult => ({
    kind: 'stayed',
    commands: [{ label: 'stop the line', state, reason }],
  });
  const { press: p } = press([came('done'), came('refused', 'interlock'), came('unknown')]);
  const told: unknown[] = [];
  for (let i = 0; i < 3; i++) {
    await p.press({ id: 'e_1' });
    told.push(p.state.said);
  }
  expect(told).toEqual([
    { words: 'Stop the line: accepted by the plant.', bad: false },
    { words: 'Stop the line: refused (interlock).', bad: true },
    { words: 'Stop the line: no answer came: check the plant before you press again.', bad: true },
  ]);
});

test('what is done on leaving is sent for the place that was left, and what is shown is read again', async () => {
  const { press: p, sent, log } = press([]);
  await p.left({ trail: 'old', n: 1, depth: 0 }, 'w_1', 2);
  expect(sent).toEqual([{ press: 'id1', trail: 'old', n: 1, depth: 0, release: 2, element: 'w_1', trigger: 'left' }]);
  expect(log).toEqual(['refresh']);
});

test('below a dialog that is not drawn yet nobody presses, and the dialog can be pressed', async () => {
  const view = {} as View;
  const over = { ...here, overlays: [{ as: 'dialog', view }] } as Shown;
  const { press: below, sent } = press([], { shown: () => over });
  expect(await below.press({ id: 'e_1' })).toEqual({ done: false });
  expect(await below.press({ id: 'e_1' }, { trigger: 'menu.m_1' })).toEqual({ done: false });
  expect(sent).toEqual([]);
  await below.press({ id: 'w_1' }, { trigger: 'time' }); // what comes by itself goes on
  const { press: within, sent: sentWithin } = press([], { shown: () => over, depth: 1 });
  await within.press({ id: 'e_2' });
  expect([...sent, ...sentWithin].map((r) => r.element)).toEqual(['w_1', 'e_2']);
});

import { type Act, type PressRequest, type PressResult, type Problem, Refused, type Shown } from '../api/client';
import { type Answers, type Asked, answered, type PressAim, type Pressed, type Said } from './asking';
import { depthOf } from './shown';
import { Told } from './Told';

interface PressState {
  busy?: string; // element whose press is under way
  asked?: Asked;
  errors: Record<string, string>; // by field
  said?: Said;
}

/** What is typed on a form: what it was before, and which version of the record. */
export interface Form {
  values: Record<string, string>;
  base: Record<string, string>;
  version?: string;
}

/** The place that is left when something is set off by leaving it. */
interface Left {
  trail: string;
  n: number;
  depth: number;
}

/** What presses of one screen work with. */
export interface PressHands {
  depth: number; // of the screen among what lies over the place
  shown: () => Shown | undefined;
  form: () => Form;
  chosen: () => Record<string, string>; // rows by list
  /** Before a press is sent: what is typed or looked at is kept; what it forgets is not to be kept after it. */
  onSend: () => unknown;
  onResult: (result: PressResult, request: PressRequest) => void;
  post: (request: PressRequest) => Promise<PressResult>;
  /** Sends without waiting, also while the page goes away; tells whether it was taken. */
  postLast: (request: PressRequest) => Promise<boolean>;
  /** Nobody goes elsewhere before the press is over. */
  hold: (until: Promise<unknown>) => void;
  insist: <T>(call: () => Promise<T>) => Promise<T>;
  show: (next: Shown) => void;
  fail: (e: unknown) => void;
  reload: () => Promise<void>; // stands on it again
  refresh: () => Promise<void>; // only reads it again
  does: (act: Act) => Promise<void>; // what only the browser can do
  openTab: (address: string, from: { trail: string; n: number }) => void;
  leave: (address: string, aside: boolean) => void; // for what is outside of the project
  out: () => Promise<void>; // the session has ended
}

const none: Record<string, string> = {}; // nothing is wrong

const keptWithin = 1000; // ms: what is not kept by then comes with the press anyway

/** After these the screen is not what it was any more. */
const lost = ['greyed', 'hidden', 'no-element', 'no-screen', 'place-left', 'no-record', 'taken-out', 'rewired'];

/** Sends presses of one screen and deals with what they come to. One press has one id, however often it is sent. */
export class Press extends Told<PressState> {
  private under = false;

  constructor(
    public hands: PressHands,
    private readonly newId: () => string = pressId,
  ) {
    super({ errors: none });
  }

  readonly press = async (element: { id: string }, aim: PressAim = {}): Promise<Pressed> => {
    const here = this.hands.shown();
    if (!here || this.under) return { done: false };
    // What lies over this screen is there before it is drawn: nobody presses what is below it.
    const byHand = !aim.trigger || aim.trigger.includes('.');
    if (byHand && depthOf(here) > this.hands.depth) return { done: false };
    const ofRow = aim.values !== undefined;
    const { trail, n, release } = here;
    const { depth } = this.hands;
    const about = { press: this.newId(), trail, n, release, depth, element: element.id, chosen: this.hands.chosen() };
    return this.send({ ...about, ...aim, ...(ofRow ? {} : this.hands.form()) }, ofRow);
  };

  /** Begins to hold a button: sent once, since what arrives late is not to begin any more. */
  readonly hold = async (element: { id: string }, press: string, seen?: string): Promise<boolean> => {
    const here = this.hands.shown();
    if (!here) return false;
    const { trail, n, release } = here;
    const about = { press, trail, n, release, depth: this.hands.depth, element: element.id, seen };
    try {
      const result = await this.hands.post(about);
      const began = result.commands?.[0]?.state === 'done';
      if (!began) this.say(wordsOfResult(result));
      return began;
    } catch (e) {
      this.tell(e);
      return false;
    }
  };

  readonly answer = (answers: Answers) => {
    const { asked } = this.state;
    if (asked) void this.send(answered(asked, answers), asked.request.trigger === 'keepRow');
  };

  /** Nothing is answered: nothing is done. */
  readonly dismiss = () => this.put({ asked: undefined });

  readonly say = (said: Said | undefined) => this.put({ said });

  /** A no that came on another way than by a press. */
  readonly tell = (e: unknown) => {
    if (!(e instanceof Refused)) throw e;
    this.say({ words: wordsOfProblem(e.problem), bad: true });
  };

  /** A screen that has been left already: what is done on that waits for no answer; what is shown by then
   * may tell of it, and is read again. */
  readonly left = async (from: Left, way: string, release: number) => {
    const taken = await this.hands.postLast({ press: this.newId(), ...from, release, element: way, trigger: 'left' });
    if (taken) await this.hands.refresh();
  };

  private send(request: PressRequest, ofRow: boolean): Promise<Pressed> {
    const sent = this.sent(request, ofRow);
    this.hands.hold(sent);
    return sent;
  }

  private async sent(request: PressRequest, ofRow: boolean): Promise<Pressed> {
    this.under = true;
    this.put({ busy: request.element, said: undefined, errors: none });
    const kept = this.hands.onSend();
    if (kept instanceof Promise) await Promise.race([kept, new Promise((done) => setTimeout(done, keptWithin))]);
    try {
      const result = await this.hands.insist(() => this.hands.post(request));
      if (result.kind === 'question' && result.question) {
        this.put({ asked: { request, question: result.question } });
        return { done: false };
      }
      this.put({ asked: undefined, said: wordsOfResult(result) });
      await this.follow(request, result);
      return { done: true };
    } catch (e) {
      if (!(e instanceof Refused)) throw e;
      return await this.refused(e, ofRow);
    } finally {
      this.under = false;
      this.put({ busy: undefined });
    }
  }

  private async follow(request: PressRequest, result: PressResult) {
    this.hands.onResult(result, request);
    if (result.address) this.hands.openTab(result.address, request);
    // A file is here before the page is left: its no is told, and going away would end it.
    for (const act of result.does ?? []) await this.hands.does(act).catch(this.tell);
    if (result.out) return this.hands.out();
    if (result.leave) this.hands.leave(result.leave, result.as === 'tab');
    if (result.shown) this.hands.show(result.shown);
  }

  private async refused(e: Refused, ofRow: boolean): Promise<Pressed> {
    const { fields, code } = e.problem;
    this.put({ asked: undefined });
    if (fields && !ofRow) this.put({ errors: fields });
    else if (e.status === 401) this.hands.fail(e);
    else if (!fields) this.tell(e);
    if (lost.includes(code)) await this.hands.reload();
    return { done: false, fields };
  }
}

const commandWords: Record<string, string> = {
  done: 'accepted by the plant',
  refused: 'refused',
  unknown: 'no answer came: check the plant before you press again',
  expired: 'not sent in time',
};

/** What a press came to, in words; nothing where what is shown says it. */
function wordsOfResult(result: PressResult): Said | undefined {
  const command = result.commands?.[0];
  if (!command) return result.message ? { words: result.message } : undefined;
  const { label, state, reason } = command;
  const name = label.charAt(0).toUpperCase() + label.slice(1);
  return {
    words: `${name}: ${commandWords[state] ?? state}${reason ? ` (${reason})` : ''}.`,
    bad: state !== 'done',
  };
}

/** What happened and what to do, on one line. */
export function wordsOfProblem(p: Problem): string {
  return p.then ? `${p.what} ${p.then}` : p.what;
}

/** An id that no other press has: 96 random bits. */
export function pressId() {
  return Array.from(crypto.getRandomValues(new Uint8Array(12)), (b) => b.toString(16).padStart(2, '0')).join('');
}

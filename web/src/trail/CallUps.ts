import { type CallUp, Refused, type Shown } from '../api/client';
import { Told } from './Told';

/** What being called up works with. */
export interface CallUpHands {
  /** Nobody sees this tab now. */
  hidden: () => boolean;
  /** A question waits for an answer. */
  asking: () => boolean;
  /** Keeps what is typed, and lets a press that is under way end. */
  settle: () => Promise<unknown>;
  call: (occurrence: number) => Promise<Shown>;
  show: (next: Shown) => void;
  /** The place is another now: what was not there a moment ago is not pressed. */
  arrived: () => void;
  fail: (e: unknown) => void;
}

interface CallUpState {
  came?: CallUp; // what brought one here, or is told of where it leads
}

const settleWithin = 1000; // ms; what is not kept by then is kept by the tab
const lookAgain = 400; // ms

/**
 * What the plant calls up: the tab goes there by itself, one after the other. One that nobody sees waits until it is
 * seen, and one that has a question open until that is answered, unless it is told to come over it.
 */
export class CallUps extends Told<CallUpState> {
  private waiting: CallUp[] = [];
  private timer: ReturnType<typeof setTimeout> | undefined;
  private going = false;

  constructor(private readonly hands: CallUpHands) {
    super({});
  }

  readonly come = (up: CallUp) => {
    if (this.waiting.every((w) => w.occurrence !== up.occurrence)) this.waiting.push(up);
    this.waiting.sort((a, b) => Number(b.high ?? false) - Number(a.high ?? false) || a.began - b.began);
    void this.next();
  };

  readonly seen = () => this.put({ came: undefined });

  /** The tab is left: nothing comes any more. */
  readonly stop = () => {
    clearTimeout(this.timer);
    this.waiting = [];
  };

  private async next() {
    clearTimeout(this.timer);
    const [up] = this.waiting;
    if (!up || this.going) return;
    if (this.hands.hidden() || (this.hands.asking() && !up.high)) {
      this.timer = setTimeout(() => void this.next(), lookAgain);
      return;
    }
    this.waiting.shift();
    this.going = true;
    try {
      await this.go(up);
    } finally {
      this.going = false;
    }
    void this.next();
  }

  private async go(up: CallUp) {
    if (!up.here) await Promise.race([this.hands.settle(), new Promise((done) => setTimeout(done, settleWithin))]);
    try {
      const shown = await this.hands.call(up.occurrence);
      this.put({ came: up });
      if (up.here) return;
      this.hands.show(shown);
      this.hands.arrived();
    } catch (e) {
      // Where one has gone meanwhile there is another stream, which tells of it again.
      if (!(e instanceof Refused)) throw e;
      if (e.problem.code !== 'place-left' && !e.away) this.hands.fail(e);
    }
  }
}

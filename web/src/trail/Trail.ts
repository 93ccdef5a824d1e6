import { type ElementView, Refused, type Shown } from '../api/client';
import { noteFork, type Pointer, pointerOf } from './pointer';
import { depthOf, replaced } from './shown';
import { Told } from './Told';

/** Where along the trail one can go. */
export type Along = 'back' | 'forward' | 'home' | 'up' | 'close' | 'round' | 'round-back';

interface TrailState {
  shown?: Shown;
  /**
   * How many answers went into what is shown. One may be older than what came live while it was on its way, which the
   * server does not send again: live values are listened to anew after each.
   */
  answers: number;
  refused?: Refused;
  away?: Refused; // nobody answers; what is shown stays
}

/** What a trail asks the server. */
export interface TrailCalls {
  open: (body: { trail?: string; n?: number; again?: boolean; address?: string; from?: Pointer }) => Promise<Shown>;
  fork: (body: { trail: string; n: number }) => Promise<Shown>;
  go: (body: { trail: string; n: number; to: string }) => Promise<Shown>;
}

/** The history of a browser's tab, as far as a trail needs it. */
export interface TabHistory {
  /** What the entry holds that the tab stands on, and how many entries lie before it. */
  here: () => { state: unknown; before: number };
  put: (address: string, state: Pointer, replace: boolean) => void;
  step: (by: number) => void;
  /** What the tab keeps over a reload. */
  kept: (name: string) => string | undefined;
  keep: (name: string, value: string) => void;
  claim: (trail: string) => Promise<boolean>;
  /** The place that the tab was opened from, if it was opened from one. */
  openedFrom: (address: string) => Pointer | undefined;
}

/** An entry of the tab's history that was arrived at. */
export interface Entry {
  address: string; // path and query
  state: unknown;
  popped: boolean; // by the browser's own back and forward, a typed address or a reload
}

const again = 2000; // ms between tries while nobody answers

/**
 * The trail of a tab. The server's trail is the truth; the entries of the tab's history point to it.
 * Whatever is shown came from the server, resolved.
 */
export class Trail extends Told<TrailState> {
  private stopped = false;
  private held: Promise<unknown> = Promise.resolve();
  private readonly questions = new Set<string>();
  private readonly keepers = new Set<() => Promise<unknown>>();
  private arrival = 0; // of the last entry: answers for an earlier one come too late

  constructor(
    private readonly project: string,
    private readonly calls: TrailCalls,
    private readonly history: TabHistory,
    private readonly wait: (ms: number) => Promise<void> = (ms) => new Promise((done) => setTimeout(done, ms)),
  ) {
    super({ answers: 0 });
  }

  private get name() {
    return `ambergate.trail.${this.project}`;
  }

  /** Asks until somebody answers: what is asked carries its own id, so that asking twice does nothing twice. */
  readonly insist = async <T>(call: () => Promise<T>): Promise<T> => {
    for (;;) {
      try {
        const answer = await call();
        this.put({ away: undefined });
        return answer;
      } catch (e) {
        if (!(e instanceof Refused) || !e.away || this.stopped) {
          this.put({ away: undefined });
          throw e;
        }
        this.put({ away: e });
        await this.wait(again);
      }
    }
  };

  /** Shows what the server answered and lets the tab's history point to it. */
  readonly show = (next: Shown) => {
    const before = this.state.shown;
    this.put({ shown: next, answers: this.state.answers + 1, refused: undefined });
    this.history.keep(this.name, next.trail);
    void this.history.claim(next.trail);
    this.point(before, next);
  };

  private point(before: Shown | undefined, next: Shown) {
    const to = `/use/${this.project}${next.view.address}`;
    const state: Pointer = { trail: next.trail, n: next.n, depth: depthOf(next) };
    const entry = this.history.here();
    const here = pointerOf(entry.state, this.history.kept);
    const same = before !== undefined && before.trail === next.trail;
    const deep = before ? depthOf(before) : 0;
    const deeper = same && next.n === before.n ? depthOf(next) - deep : 0;
    if (here?.trail === next.trail && here.n === next.n && (here.depth ?? 0) === state.depth) {
      this.history.put(to, state, true);
    } else if (deeper > 0) {
      this.history.put(to, state, false); // back closes what lies over the place
    } else if (deeper < 0 && entry.before > 0 && (here?.depth ?? 0) === deep) {
      this.history.step(deeper);
    } else if (same && next.n === before.n - 1 && deep === 0 && entry.before > 0) {
      this.history.step(-1); // the browser's own back leads to the same place
    } else {
      this.history.put(to, state, !(same && next.n > before.n) || deep > 0);
    }
  }

  /** Changes what is shown where it stands, by what came live. */
  readonly change = (how: (shown: Shown) => Shown) => {
    const { shown } = this.state;
    if (shown) this.put({ shown: how(shown) });
  };

  /** Puts elements that the server answered with in the stead of those that are shown: what depends on a chosen row. */
  readonly replace = (depth: number, changed: ElementView[]) => {
    const { shown, answers } = this.state;
    if (shown) this.put({ shown: replaced(shown, depth, changed), answers: answers + 1 });
  };

  readonly fail = (e: unknown) => {
    if (!(e instanceof Refused)) throw e;
    this.put({ refused: e });
  };

  /** A refusal was read: what was shown before stands again. */
  readonly recover = () => this.put({ refused: undefined });

  /** The tab is at an entry of its history: what that points to is shown. */
  readonly arrive = async (entry: Entry) => {
    this.stopped = false;
    const mine = ++this.arrival;
    const pointer = pointerOf(entry.state, this.history.kept);
    const now = this.state.shown;
    // A pointer that was pushed or replaced was put there by show, and may arrive after a later one.
    if (now && pointer && !entry.popped) return;
    const onIt = now && pointer && pointer.trail === now.trail && pointer.n === now.n;
    if (onIt && (pointer.depth ?? 0) === depthOf(now)) return;
    const open = async (): Promise<Shown> => {
      if (!now || !pointer || pointer.trail !== now.trail) return this.begin(pointer, entry.address);
      if (!onIt) return this.calls.go({ trail: pointer.trail, n: pointer.n, to: 'place' });
      let next = now;
      for (let d = depthOf(now); d > (pointer.depth ?? 0); d--) {
        next = await this.calls.go({ trail: now.trail, n: now.n, to: 'close' });
      }
      return next;
    };
    try {
      const shown = await this.insist(open);
      if (mine === this.arrival) this.show(shown);
    } catch (e) {
      if (mine === this.arrival) this.fail(e);
    }
  };

  /** The first place of a page: that of its pointer, of its address, or of a tab that it was opened from. */
  private async begin(pointer: Pointer | undefined, address: string): Promise<Shown> {
    const trail = pointer?.trail ?? this.history.kept(this.name);
    const body = { address: address.slice(`/use/${this.project}`.length) };
    if (!trail) return this.calls.open({ ...body, from: this.history.openedFrom(address) });
    if (await this.history.claim(trail)) return this.calls.open({ ...body, trail, n: pointer?.n });
    if (!pointer) return this.calls.open(body);
    try {
      const own = await this.calls.fork({ trail, n: pointer.n });
      noteFork(trail, own.trail, this.history.keep);
      return own;
    } catch (e) {
      if (!(e instanceof Refused) || e.away || e.status === 401) throw e;
      return this.calls.open(body); // it was somebody else's, or is gone
    }
  }

  /** Stands on what is shown, read again; nothing changes if one has gone on by then. */
  readonly reload = () => this.reopen({});

  /** Reads again what is shown: that comes late where a press leads on meanwhile, and does not lead back. */
  readonly refresh = () => this.reopen({ again: true });

  private async reopen(how: { again?: boolean }) {
    const at = this.state.shown;
    try {
      const next = await this.insist(() => this.calls.open(at ? { trail: at.trail, n: at.n, ...how } : {}));
      const now = this.state.shown;
      if (now?.trail === at?.trail && now?.n === at?.n && !this.leaves(at)) this.show(next);
    } catch (e) {
      this.fail(e);
    }
  }

  /** Whether the browser's own back or forward has left a place, and what is there is still asked for. */
  private leaves(at: Shown | undefined) {
    const here = pointerOf(this.history.here().state, this.history.kept);
    return at !== undefined && here?.trail === at.trail && here.n !== at.n;
  }

  /** A question waits for an answer, or does not any more; gives the way to say that it does not. */
  readonly ask = (question: string, open: boolean) => {
    if (open) this.questions.add(question);
    else this.questions.delete(question);
    return () => {
      this.questions.delete(question);
    };
  };

  get asking() {
    return this.questions.size > 0;
  }

  /** What keeps what is typed, before one goes elsewhere unasked; gives the way to end that. */
  readonly keeps = (keep: () => Promise<unknown>) => {
    this.keepers.add(keep);
    return () => {
      this.keepers.delete(keep);
    };
  };

  /** What is typed is kept, and no press is under way. */
  readonly settled = () => Promise.all([this.held, ...[...this.keepers].map((keep) => keep())]);

  /** Nobody goes along the trail before this is over: a press that is under way, which may lead somewhere itself. */
  readonly hold = (until: Promise<unknown>) => {
    this.held = until.catch(() => undefined);
  };

  /**
   * Goes along the trail, or to its place n; from where a press leads that is under way. Back is out of what lies over
   * the place first, as the browser's own back is: it may not be drawn yet for who saw only what is below.
   */
  readonly go = async (to: Along, n?: number, onGoing?: (to: Along) => void) => {
    await this.held;
    const at = this.state.shown;
    if (!at) return;
    const way = to === 'back' && n === undefined && depthOf(at) > 0 ? 'close' : to;
    onGoing?.(way);
    try {
      const body = { trail: at.trail, n: n ?? at.n, to: n === undefined ? way : 'place' };
      this.show(await this.insist(() => this.calls.go(body)));
    } catch (e) {
      this.fail(e);
    }
  };

  /** The page is left: what is on its way comes too late, and nothing is asked again. */
  readonly stop = () => {
    this.stopped = true;
    this.arrival++;
  };
}

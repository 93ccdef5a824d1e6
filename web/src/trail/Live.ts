import type { CallUp, ElementView } from '../api/client';
import type { Source } from './Stream';

/** What comes in: the elements that changed, and ids of those that are gone. */
export interface LiveEvent {
  n: number;
  revision: number;
  elements: ElementView[];
  gone?: string[];
}

/** What a stream of live values is told to. */
export interface LiveHands {
  onEvent: (event: LiveEvent) => void;
  /** Nothing comes in any more: what is shown is not believed. */
  onLost: () => void;
  /** It does again. */
  onBack: () => void;
  reload: () => void;
  /** The plant calls a screen up; what it called up is another list now. */
  onCallUp: (up: CallUp) => void;
  onCallUps: () => void;
}

const silence = 6000; // ms; the server says something every two seconds

/** Live values of one place as they come; after a gap the screen is read again. */
export class Live {
  private source: Source | undefined;
  private heard = 0; // when something last came in
  private broken = false;
  private watch: ReturnType<typeof setInterval> | undefined;

  constructor(
    private readonly open: () => Source,
    private readonly hands: LiveHands,
    private readonly now: () => number = Date.now,
  ) {}

  /** Begins to listen; gives the way to end that. */
  start(): () => void {
    this.listen();
    // A connection can be there and say nothing: then values are not believed either.
    this.watch = setInterval(() => this.look(), 1000);
    return () => {
      clearInterval(this.watch);
      this.source?.close();
    };
  }

  private look() {
    if (this.now() - this.heard < silence) return;
    this.lose();
    this.listen();
  }

  private lose() {
    this.broken = true;
    this.hands.onLost();
  }

  private listen() {
    this.source?.close();
    this.heard = this.now();
    const source = this.open();
    this.source = source;
    source.addEventListener('open', () => {
      this.heard = this.now();
      this.hands.onBack(); // what was lost may have been that of the place before
      if (this.broken) this.hands.reload();
      this.broken = false;
    });
    source.addEventListener('error', () => this.lose());
    source.addEventListener('alive', () => {
      this.heard = this.now();
    });
    source.addEventListener('live', (e) => {
      this.heard = this.now();
      this.hands.onEvent(JSON.parse(e.data ?? ''));
    });
    source.addEventListener('callup', (e) => this.hands.onCallUp(JSON.parse(e.data ?? '')));
    source.addEventListener('callups', () => this.hands.onCallUps());
    source.addEventListener('ended', () => this.hands.reload());
    source.addEventListener('refused', () => {
      source.close();
      this.hands.reload();
    });
  }
}

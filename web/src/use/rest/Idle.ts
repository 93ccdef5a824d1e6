/** What rest is told to. */
export interface IdleHands {
  /** So many seconds are left; nothing while there is no hurry. */
  onLeft: (seconds: number | undefined) => void;
  /** Nobody was there for so long. */
  onRest: () => void;
  /** What goes on is not to be ended: a task that was begun. */
  busy: () => boolean;
}

/** What shows that somebody is there; a clip that runs to its end is looked at, too. */
const touches = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart', 'timeupdate'] as const;

const look = 500; // ms

/** Counts how long nobody has touched the page: told when it was for so long, and how much is left shortly before. */
export class Idle {
  private last: number;
  private timer: ReturnType<typeof setInterval> | undefined;
  private told: number | undefined;

  constructor(
    private readonly after: number, // seconds
    private readonly warn: number,
    private readonly hands: IdleHands,
    private touched = true, // since it last rested: nobody is brought to rest twice
    private readonly now: () => number = Date.now,
  ) {
    this.last = now();
  }

  /** Begins to count; gives what ends that. */
  start(page: EventTarget): () => void {
    const touched = (event: Event) => {
      if (event.type === 'timeupdate' && (event.target as Partial<HTMLMediaElement>).loop) return;
      this.last = this.now();
      this.touched = true;
      this.tell(undefined);
    };
    for (const touch of touches) page.addEventListener(touch, touched, { capture: true, passive: true });
    this.timer = setInterval(() => this.look(), look);
    return () => {
      clearInterval(this.timer);
      for (const touch of touches) page.removeEventListener(touch, touched, { capture: true });
    };
  }

  private look() {
    if (!this.touched) return;
    if (this.hands.busy()) this.last = this.now();
    const left = this.after - (this.now() - this.last) / 1000;
    if (left <= 0) {
      this.last = this.now();
      this.tell(undefined);
      this.touched = false;
      this.hands.onRest();
    } else this.tell(left <= this.warn ? Math.ceil(left) : undefined);
  }

  private tell(seconds: number | undefined) {
    if (seconds === this.told) return;
    this.told = seconds;
    this.hands.onLeft(seconds);
  }
}

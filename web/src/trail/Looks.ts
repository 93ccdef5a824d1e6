import { type ElementView, type Look, Refused } from '../api/client';

/** Tells the server how lists are left; what depends on a chosen row comes back. */
export type KeepLooks = (looks: Record<string, Look>, last: boolean) => Promise<ElementView[]>;

const pause = 400; // ms after scrolling stops
const soon = 60; // ms after a row is chosen

/** How the lists of one place are left, so that they are found like that again; chosen rows at once. */
export class Looks {
  private dirty = false;
  private ended = false;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private looks: Record<string, Look>,
    private readonly tell: KeepLooks,
    private readonly onElements: (changed: ElementView[]) => void,
  ) {}

  readonly keep = (list: string, look: Look) => {
    const before = this.looks[list];
    this.looks = { ...this.looks, [list]: look };
    this.dirty = true;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), before?.row === look.row ? pause : soon);
  };

  readonly flush = async (last = false) => {
    clearTimeout(this.timer);
    if (!this.dirty) return;
    this.dirty = false;
    try {
      const changed = await this.tell(this.looks, last);
      if (changed.length > 0 && !this.ended) this.onElements(changed);
    } catch (e) {
      if (!(e instanceof Refused)) throw e; // how a list was left is worth no message
    }
  };

  /** The chosen row of each list. */
  readonly chosen = () =>
    Object.fromEntries(Object.entries(this.looks).flatMap(([list, l]) => (l.row ? [[list, l.row]] : [])));

  readonly begin = () => {
    this.ended = false;
  };

  /** The place is left: what comes back for it is not shown any more. */
  readonly end = () => {
    void this.flush();
    this.ended = true;
  };
}

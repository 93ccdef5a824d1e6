import type { Heard } from './Stream';

/** What of a live event is looked at here. */
interface Event {
  n: number;
  elements: { id: string }[];
  gone?: string[];
}

/**
 * Lets live events through to a tab one at a time: the next when it has drawn the last. What comes meanwhile is made one
 * event of, with the newest of each element: a tab that is slow, or that nobody sees, has no backlog.
 */
export class Gate {
  private free = true;
  private waiting: string | undefined;

  constructor(private readonly through: Heard) {}

  readonly heard: Heard = (name, data) => {
    if (name !== 'live' || data === undefined) return this.through(name, data);
    if (this.free) {
      this.free = false;
      this.through(name, data);
    } else {
      this.waiting = this.waiting === undefined ? data : merged(this.waiting, data);
    }
  };

  /** The tab has drawn what it got. */
  readonly ready = () => {
    const next = this.waiting;
    this.waiting = undefined;
    if (next === undefined) this.free = true;
    else this.through('live', next);
  };
}

function merged(before: string, after: string): string {
  const [a, b]: Event[] = [JSON.parse(before), JSON.parse(after)];
  if (!a || !b || a.n !== b.n) return after;
  const gone = new Set([...(a.gone ?? []), ...(b.gone ?? [])]);
  for (const e of b.elements) gone.delete(e.id);
  const elements = new Map([...a.elements, ...b.elements].map((e) => [e.id, e]));
  for (const id of gone) elements.delete(id);
  return JSON.stringify({ ...b, elements: [...elements.values()], gone: gone.size > 0 ? [...gone] : undefined });
}

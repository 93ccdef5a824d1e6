/** A place of a tab as a stream names it: trail, place and how deep. */
export type At = string;

/** What a stream tells: by name, with data as JSON. */
export type Heard = (name: string, data?: string) => void;

/** The part of EventSource that is needed. */
export interface Source {
  addEventListener: (name: string, heard: (e: { data?: string }) => void) => void;
  close: () => void;
}

const together = 20; // ms: what comes and goes within opens one stream

/** What concerns all places of a stream, and what one alone. */
const ofAll = ['open', 'error', 'alive'] as const;
const ofOne = ['live', 'callup', 'callups', 'ended', 'refused'] as const;

/**
 * One stream for all places that the tabs of a browser have open, as browsers keep few connections to one server.
 * Whenever another place comes or goes the stream is opened anew with those that there are; each begins with how it is.
 */
export class Stream {
  private readonly places = new Map<object, { at: At; heard: Heard }>();
  private source: Source | undefined;
  private waiting = false;

  constructor(
    private readonly open: (places: At[]) => Source,
    private readonly soon: (then: () => void) => void = (then) => void setTimeout(then, together),
  ) {}

  /** Listens for one place; gives the way to end that. */
  listen(at: At, heard: Heard): () => void {
    const key = {};
    this.places.set(key, { at, heard });
    this.renew();
    return () => {
      if (this.places.delete(key)) this.renew();
    };
  }

  /** What is done in one go opens one stream. */
  private renew() {
    if (this.waiting) return;
    this.waiting = true;
    this.soon(() => {
      this.waiting = false;
      this.begin();
    });
  }

  private begin() {
    this.source?.close();
    this.source = undefined;
    const places = [...new Set([...this.places.values()].map((p) => p.at))];
    if (places.length === 0) return;
    const source = this.open(places);
    this.source = source;
    for (const name of ofAll) source.addEventListener(name, (e) => this.tell(name, e.data));
    for (const name of ofOne) source.addEventListener(name, (e) => this.tell(name, e.data, atOf(e.data)));
    source.addEventListener('ended', () => this.renew()); // it is read again, and listened to anew
  }

  private tell(name: string, data?: string, at?: At) {
    for (const p of [...this.places.values()]) if (at === undefined || p.at === at) p.heard(name, data);
  }
}

const atOf = (data: string | undefined): At => (JSON.parse(data ?? '{}') as { at?: At }).at ?? '';

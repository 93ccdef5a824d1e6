/** Something with a state, which tells whoever subscribed when that has changed. */
export class Told<State extends object> {
  private readonly told = new Set<() => void>();

  constructor(private now: State) {}

  /** The state of now: the same object as long as nothing changes. */
  get state(): State {
    return this.now;
  }

  readonly snapshot = (): State => this.now;

  /** Calls back after each change; gives the way to end that. */
  readonly subscribe = (tell: () => void) => {
    this.told.add(tell);
    return () => {
      this.told.delete(tell);
    };
  };

  /** Changes parts of the state; nobody is told of what is as it was. */
  protected put(change: Partial<State>) {
    const names = Object.keys(change) as (keyof State)[];
    if (names.every((n) => this.now[n] === change[n])) return;
    this.now = { ...this.now, ...change };
    for (const tell of [...this.told]) tell();
  }
}

/** What holding a button works with. */
export interface HoldHands {
  /** Begins it: a press with this id; false where it came to nothing. */
  begin: (press: string) => Promise<boolean>;
  /** Says that it is held still; gives why it is over, or nothing. */
  renew: (press: string) => Promise<string | undefined>;
  letGo: (press: string) => Promise<unknown>;
  /** It is over although the button is still down. */
  onOver: (why: string) => void;
}

const every = 150; // ms; the server ends it after 600 of silence

/**
 * A button that acts as long as it is held. Letting go is said at once, also before the server has answered that it
 * began, and once more when that comes after: whichever arrives first, nothing is held.
 */
export class Hold {
  private id: string | undefined;
  private timer: ReturnType<typeof setInterval> | undefined;

  constructor(
    private readonly hands: HoldHands,
    private readonly newId: () => string,
  ) {}

  readonly down = () => {
    if (this.id !== undefined) return;
    const id = this.newId();
    this.id = id;
    this.timer = setInterval(() => void this.renew(id), every);
    void this.begin(id);
  };

  readonly up = () => {
    const { id } = this;
    if (id === undefined) return;
    this.stop();
    void this.hands.letGo(id).catch(() => undefined); // who is not heard is let go by the server
  };

  private async begin(id: string) {
    const began = await this.hands.begin(id).catch(() => false);
    if (this.id !== id) await this.hands.letGo(id).catch(() => undefined);
    else if (!began) this.stop();
  }

  private async renew(id: string) {
    const why = await this.hands.renew(id).catch(() => undefined); // the next one may be heard
    if (why === undefined || this.id !== id) return;
    this.stop();
    this.hands.onOver(why);
  }

  private stop() {
    clearInterval(this.timer);
    this.id = undefined;
  }
}

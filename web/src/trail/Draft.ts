import { type KeptDraft, Refused, type View } from '../api/client';
import type { Form } from './Press';
import { Told } from './Told';
import type { Unsent } from './unsent';

interface DraftState {
  values: Record<string, string>; // what is typed, by field
  taken: boolean; // another tab has gone on with it
}

/** What the server is given to keep. */
export interface DraftBody extends Form {
  id?: string;
}

/** Keeps what is typed, and gives its id; last: the page goes away meanwhile. */
export type KeepDraft = (body: DraftBody, last: boolean) => Promise<{ id?: string }>;

const pause = 500; // ms after typing stops

/**
 * What is typed on a form and not saved: it is kept by the server half a second after typing stops, with
 * what its fields were when it was begun, whatever comes in later. Until the server has said that it has
 * it, the tab keeps it too.
 */
export class Draft extends Told<DraftState> {
  private id: string | undefined;
  private sent: string;
  private begun: { version?: string; values: Record<string, string> };
  private timer: ReturnType<typeof setTimeout> | undefined;
  private under: Promise<unknown> | undefined; // what is on its way to be kept
  private over = false; // what is typed is settled: none of it is kept any more
  /** What was typed here before and not saved, as the server or, newer, this tab has it. */
  readonly found: KeptDraft | undefined;

  constructor(
    view: View,
    kept: KeptDraft | undefined,
    private readonly keep: KeepDraft,
    private readonly keeps = true, // there is something to type on here
    private readonly unsent?: Unsent,
  ) {
    const own = keeps ? editable(unsent?.read(), view) : undefined;
    const found = own ? { ...own, id: kept?.id ?? own.id } : kept;
    super({ values: found?.values ?? {}, taken: false });
    this.found = found;
    this.id = found?.id || undefined;
    this.sent = JSON.stringify(kept?.values ?? {});
    this.begun = begin(view, found);
  }

  /** Has what only this tab has kept now. */
  readonly begins = () => {
    if (JSON.stringify(this.state.values) !== this.sent) this.timer = setTimeout(() => void this.flush(), 0);
  };

  /** Another tab or step of the form is open: what its fields are now is what they were before. */
  readonly sees = (view: View) => {
    this.begun.values = { ...begin(view).values, ...this.begun.values };
  };

  get dirty() {
    return Object.keys(this.state.values).length > 0;
  }

  /** The id under which the server keeps it; none while nothing is kept. */
  get kept() {
    return this.id;
  }

  /** What is typed, and what that was before. */
  readonly form = (): Form => {
    const { values } = this.state;
    const base = Object.fromEntries(Object.keys(values).map((k) => [k, this.begun.values[k] ?? '']));
    return { values, base, version: this.begun.version };
  };

  readonly type = (field: string, value: string) => {
    const { [field]: _, ...others } = this.state.values;
    this.change(value === (this.begun.values[field] ?? '') ? others : { ...others, [field]: value });
  };

  /** Goes on with what was typed elsewhere, or starts from what is saved. */
  readonly restart = (from: View, found?: KeptDraft) => {
    this.begun = begin(from, found);
    this.change(found?.values ?? {});
  };

  /** What is typed was saved: nothing of it is to be kept any more. */
  readonly settle = () => {
    this.stop();
    // What is on its way may come after what has settled it.
    if (this.under) void this.under.then(() => (this.over || !this.dirty ? this.drop() : undefined)).catch(() => {});
  };

  /** What is typed is given up: nothing of it is kept, neither what is on its way. */
  readonly forget = async () => {
    this.stop();
    await this.under?.catch(() => {});
    await this.drop();
  };

  private stop() {
    clearTimeout(this.timer);
    this.over = true;
    this.sent = JSON.stringify({});
    this.id = undefined;
    this.unsent?.drop();
  }

  private async drop() {
    this.id = undefined;
    await this.keep(nothing, false);
  }

  /** Goes on with a draft that another tab kept. */
  readonly adopt = (found: { id: string; values: Record<string, string> } | undefined) => {
    this.id = found?.id;
    this.sent = JSON.stringify(found?.values ?? {});
    this.unsent?.drop();
    this.put({ taken: false });
  };

  /** Has what is typed kept now. */
  readonly flush = async (last = false): Promise<unknown> => {
    clearTimeout(this.timer);
    // One after the other, so that what was typed last is what is kept.
    if (this.under && !last) return this.under.catch(() => {}).then(() => this.flush());
    const form = this.form();
    const text = JSON.stringify(form.values);
    if (this.over || !this.keeps || text === this.sent) return;
    this.sent = text;
    const under = this.send(form, text, last);
    this.under = under;
    try {
      await under;
    } finally {
      if (this.under === under) this.under = undefined;
    }
  };

  private async send(form: Form, text: string, last: boolean) {
    try {
      const { id } = await this.keep({ id: this.id, ...form }, last);
      if (this.over) return;
      this.id = id;
      if (JSON.stringify(this.state.values) === text) this.unsent?.drop();
      this.put({ taken: false });
    } catch (e) {
      if (!this.over) this.sent = ''; // tried again with the next change
      if (!(e instanceof Refused)) throw e;
      if (e.problem.code === 'draft-taken') this.put({ taken: true });
    }
  }

  /** The form is left: what was typed just now is kept by who leaves it, or not at all. */
  readonly end = () => clearTimeout(this.timer);

  private change(values: Record<string, string>) {
    this.over = false;
    this.put({ values });
    if (this.keeps) {
      const { base, version } = this.form();
      this.unsent?.write({ id: this.id ?? '', at: new Date().toISOString(), version: version ?? '', base, values });
    }
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), pause);
  }
}

const nothing: DraftBody = { values: {}, base: {} };

/** What the fields of a form are when something is begun to be typed on it. */
function begin(view: View, found?: KeptDraft) {
  const now = Object.fromEntries(
    view.elements.flatMap((e) => (e.kind === 'field' ? [[e.field.path, e.field.value]] : [])),
  );
  if (!found) return { version: view.record?.version, values: now };
  return { version: found.version || view.record?.version, values: { ...now, ...found.base } };
}

/** What was typed into fields that can be changed here, and is another value than they have now. */
function editable(found: KeptDraft | undefined, view: View): KeptDraft | undefined {
  if (!found) return undefined;
  const now = new Map(
    view.elements.flatMap((e) => (e.kind === 'field' && e.field.editable ? [[e.field.path, e.field.value]] : [])),
  );
  const values = Object.fromEntries(Object.entries(found.values).filter(([f, v]) => now.has(f) && now.get(f) !== v));
  return Object.keys(values).length > 0 ? { ...found, values } : undefined;
}

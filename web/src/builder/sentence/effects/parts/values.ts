import type { Proposal } from '../../../../api/client';
import type { Binding } from '../../../../document/document.gen';
import type { FieldDoc } from '../../../../document/tables';

/** What a value has to be. */
export interface Wanted {
  type: string;
  table?: string; // of a record
  choices?: string[];
  unit?: string;
  self?: string; // the expression of what gets it
  nullable?: boolean; // it may get nothing
}

/** How a value is given: by a whole expression, id "=…", or by what is typed or chosen. */
export interface Entry {
  how: string;
  typed: string;
}

/** Nothing is said yet. */
export const unsaid: Entry = { how: '', typed: '' };

/** What a field of a table takes. */
export function wantedOf(f: FieldDoc | undefined): Wanted {
  return { type: f?.type ?? 'text', table: f?.references, choices: f?.choices, unit: f?.unit };
}

export interface How {
  id: string;
  words: string;
}

const numbers = ['whole', 'number', 'decimal'];

/** The ways to give such a value, best first; nearly all of them without an expression. */
export function howsFor(w: Wanted, proposed: Proposal[] = []): How[] {
  const out: How[] = [];
  const whole = (text: string, words: string) => out.push({ id: `=${text}`, words });
  if (w.type === 'yesno') {
    whole('true', 'yes');
    whole('false', 'no');
    if (w.self) whole(`!${w.self}`, 'the other of the two');
  } else if (w.choices?.length) for (const c of w.choices) whole(JSON.stringify(c), c);
  else if (w.type === 'date') {
    whole('today()', 'today');
    out.push(
      { id: 'ahead', words: 'days from now' },
      { id: 'ago', words: 'days ago' },
      { id: 'day', words: 'always this day' },
    );
  } else if (w.type === 'moment') whole('now', 'now');
  else if (w.type === 'record') {
    for (const p of proposed) {
      const text = ruleAsText(p.binding);
      if (text && text !== w.self) whole(text, p.words);
    }
    out.push({ id: 'key', words: 'always one that I choose' });
  } else if (w.type === 'text') out.push({ id: 'text', words: 'the text' });
  else if (numbers.includes(w.type)) out.push({ id: 'number', words: 'the value' });
  if (w.nullable) whole('null', 'nothing');
  out.push({ id: 'work', words: 'worked out' });
  return out;
}

/** The expression of an entry, or what is missing. */
export function textOf(e: Entry): { text: string } | { problem: string } {
  const typed = e.typed.trim();
  if (e.how.startsWith('=')) return { text: e.how.slice(1) };
  switch (e.how) {
    case 'text':
      return { text: JSON.stringify(e.typed) };
    case 'number':
      return /^-?\d+([.,]\d+)?$/.test(typed) ? { text: typed.replace(',', '.') } : { problem: 'Type a number.' };
    case 'ago':
    case 'ahead':
      if (!/^\d{1,5}$/.test(typed)) return { problem: 'Type how many days.' };
      return { text: `${e.how === 'ago' ? 'daysAgo' : 'daysFromNow'}(${typed})` };
    case 'day':
      return typed ? { text: `date(${JSON.stringify(typed)})` } : { problem: 'Choose a day.' };
    case 'key':
      return typed ? { text: `key(${JSON.stringify(typed)})` } : { problem: 'Choose which record.' };
  }
  return typed ? { text: typed } : { problem: 'Type what it is worked out by, like record.due + duration("168h").' };
}

/** The entry that a stored expression came from, as far as its form tells. */
export function entryOf(w: Wanted, stored: string): Entry {
  const entry = (how: string, typed = ''): Entry => ({ how, typed });
  const days = /^days(Ago|FromNow)\((\d+)\)$/.exec(stored);
  if (days) return entry(days[1] === 'Ago' ? 'ago' : 'ahead', days[2]);
  const day = /^date\("([^"]*)"\)$/.exec(stored);
  if (day) return entry('day', day[1]);
  const key = /^key\("([^"\\]*)"\)$/.exec(stored);
  if (key && w.type === 'record') return entry('key', key[1]);
  if (w.type === 'text' && !w.choices?.length && /^"([^"\\]|\\.)*"$/.test(stored)) {
    try {
      return entry('text', String(JSON.parse(stored)));
    } catch {
      return entry(`=${stored}`); // an escape that JSON does not know
    }
  }
  if (numbers.includes(w.type) && /^-?\d+(\.\d+)?$/.test(stored)) return entry('number', stored);
  return entry(`=${stored}`);
}

/** The expression that says the same as a record rule, where there is one. */
function ruleAsText(b: Binding | undefined): string | undefined {
  switch (b?.rule) {
    case 'this':
      return 'record';
    case 'row':
      return 'row';
    case 'user':
      return 'user.record';
    case 'input':
      return `inputs.${b.value}`;
    case 'expression':
      return b.value;
    case 'parent':
      return `${b.from && b.from !== 'record' && b.from !== 'row' ? `inputs.${b.from}` : b.from || 'record'}.${b.path}`;
  }
  return undefined;
}

import type { EditTold } from '../../../api/client';

/** What of the history is looked at: the edits of one entity, of one person; a screen as it was. */
export interface Asked {
  entity: string;
  by: string;
  past?: Past;
}

/** When a screen is looked at: before an edit, or at a time (ISO). */
export interface Past {
  before?: number;
  at?: string;
}

/** Reads an address item: history~screen~person~b12 or …~t2026-11-24T10:00. */
export function askedIn(item: string): Asked {
  const [, entity = '', by = '', when = ''] = item.split('~');
  const asked: Asked = { entity, by };
  if (/^b\d+$/.test(when)) asked.past = { before: Number(when.slice(1)) };
  else if (when.startsWith('t') && !Number.isNaN(Date.parse(when.slice(1)))) asked.past = { at: when.slice(1) };
  return asked;
}

/** Writes it. */
export function itemOf({ entity, by, past }: Asked): string {
  const when = past?.before !== undefined ? `b${past.before}` : past?.at ? `t${past.at}` : '';
  return `history~${entity}~${by}~${when}`.replace(/~+$/, '');
}

/** Edits by the day on which they were made. */
export function byDay(edits: EditTold[]): [day: string, edits: EditTold[]][] {
  const days = new Map<string, EditTold[]>();
  for (const e of edits) {
    const day = new Date(e.at).toLocaleDateString([], {
      weekday: 'long',
      day: 'numeric',
      month: 'long',
      year: 'numeric',
    });
    days.set(day, [...(days.get(day) ?? []), e]);
  }
  return [...days];
}

/** What is said of an edit besides what it changed; '' for nothing. */
export function fateOf(e: EditTold): string {
  if (e.undoes) return 'takes an edit back';
  if (e.undone) return 'taken back since';
  if (e.release) return `in release ${e.release}`;
  return '';
}

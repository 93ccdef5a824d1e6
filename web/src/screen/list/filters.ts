import type { ColumnView, Filter } from '../../api/client';

/** How a column is to narrow a list, as its box holds it. */
export interface Narrowed {
  compare: string;
  value: string; // of is, isNot, contains
  from: string;
  to: string;
  days: string; // counted from today
  some: string[]; // of in
}

/** Days counted from today, as people say them. */
export const daySpans: [string, string][] = [
  ['0..0', 'today'],
  ['-1..-1', 'yesterday'],
  ['-7..0', 'the last 7 days'],
  ['-30..0', 'the last 30 days'],
  ['-365..0', 'the last 365 days'],
  ['..-1', 'before today'],
  ['0..7', 'the next 7 days'],
  ['0..30', 'the next 30 days'],
  ['1..', 'after today'],
];

/** The comparisons that fit a column's type, by their ids and words. */
export function waysToNarrow(c: ColumnView): [string, string][] {
  const empty: [string, string][] =
    c.nullable || c.path.includes('.')
      ? [
          ['empty', 'is empty'],
          ['notEmpty', 'is not empty'],
        ]
      : [];
  if (c.choices) return [['in', 'is one of'], ['between', 'from … to …'], ...empty];
  switch (c.type) {
    case 'yesno':
      return [['is', 'is'], ...empty];
    case 'record':
      return [['is', 'is'], ['contains', 'is called like'], ...empty];
    case 'date':
    case 'moment':
      return [['days', 'counted from today'], ['between', 'from … to …'], ...empty];
    case 'whole':
    case 'number':
    case 'decimal':
      return [['between', 'from … to …'], ['is', 'is'], ...empty];
  }
  return [['contains', 'contains'], ['is', 'is'], ['isNot', 'is not'], ...empty];
}

/** Reads a filter into the box; without one what the column is usually narrowed by. */
export function readFilter(c: ColumnView, f: Filter | undefined): Narrowed {
  const compare = waysToNarrow(c)[0]?.[0] ?? 'is';
  const none: Narrowed = { compare, value: '', from: '', to: '', days: '0..0', some: [] };
  if (!f) return none;
  const value = f.value ?? '';
  if (f.compare === 'in') return { ...none, some: value.split('|').map(decoded) };
  if (f.compare === 'days') return { ...none, compare: 'days', days: value };
  const [from = '', to = ''] = value.split('..');
  if (f.compare === 'between') return { ...none, compare: 'between', from, to };
  if (f.compare === 'atLeast') return { ...none, compare: 'between', from: value };
  if (f.compare === 'atMost') return { ...none, compare: 'between', to: value };
  if (c.choices && f.compare === 'is') return { ...none, some: [value] };
  if (c.choices && f.compare === 'isNot') return { ...none, some: c.choices.filter((x) => x !== value) };
  return { ...none, compare: f.compare, value };
}

/** One of several values; an address that somebody typed may hold what is no escape. */
function decoded(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
}

/** The filter that a box asks for; none when it asks for nothing. */
export function filterOf(c: ColumnView, n: Narrowed): Filter[] {
  const one = (value: string): Filter[] => [{ path: c.path, compare: n.compare, value }];
  switch (n.compare) {
    case 'empty':
    case 'notEmpty':
      return one('');
    case 'in':
      return n.some.length === 0 ? [] : one(n.some.map(encodeURIComponent).join('|'));
    case 'days':
      return one(n.days);
    case 'between':
      return n.from === '' && n.to === '' ? [] : one(`${n.from.trim()}..${n.to.trim()}`);
  }
  return n.value === '' ? [] : one(n.value);
}

import type { ArriveFilter } from '../../../../document/document.gen';
import type { FieldDoc } from '../../../../document/tables';

/** One filter that the target's list begins with, as it is chosen. */
export interface Narrowing {
  path: string;
  how: string; // a comparison, or days:past, days:next, days:before
  value: string; // as the wire writes it; of days: how many
}

const more: [string, string][] = [
  ['empty', 'is empty'],
  ['notEmpty', 'is not empty'],
];

/** How a field of a type can narrow a list. */
export function howsOf(f: FieldDoc | undefined): [string, string][] {
  const empty = f?.nullable ? more : [];
  if (f?.type === 'yesno') return [['is', 'is'], ...empty];
  if (f?.references || f?.choices) return [['is', 'is'], ['isNot', 'is not'], ...empty];
  if (f?.type === 'date' || f?.type === 'moment')
    return [
      ['days:past', 'in the last … days'],
      ['days:next', 'in the next … days'],
      ['days:before', 'before today'],
      ['atLeast', 'from this day on'],
      ['atMost', 'up to this day'],
      ...empty,
    ];
  if (f?.type === 'text') return [['contains', 'contains'], ['is', 'is'], ['isNot', 'is not'], ...empty];
  return [['atLeast', 'is at least'], ['atMost', 'is at most'], ['is', 'is'], ...empty];
}

/** What kind of value a comparison takes. */
export function takesOf(
  f: FieldDoc | undefined,
  how: string,
): 'nothing' | 'days' | 'day' | 'record' | 'choice' | 'text' {
  if (how === 'empty' || how === 'notEmpty' || how === 'days:before') return 'nothing';
  if (how.startsWith('days:')) return 'days';
  if (f?.references) return 'record';
  if (f?.choices || f?.type === 'yesno') return 'choice';
  return f?.type === 'date' || f?.type === 'moment' ? 'day' : 'text';
}

/** The filter as the document keeps it, or what is missing. */
export function filterOf(n: Narrowing, f: FieldDoc | undefined, pos: number): ArriveFilter | string {
  const base = { pos, path: n.path };
  const takes = takesOf(f, n.how);
  if (n.how === 'days:before') return { ...base, compare: 'days', value: '..-1' };
  if (takes === 'nothing') return { ...base, compare: n.how };
  const value = n.value.trim();
  if (takes === 'days') {
    if (!/^\d{1,4}$/.test(value)) return 'Type how many days.';
    return { ...base, compare: 'days', value: n.how === 'days:past' ? `-${value}..0` : `0..${value}` };
  }
  if (value === '') return `Say what “${f?.label ?? n.path}” is compared with.`;
  if (/^(whole|number|decimal)$/.test(f?.type ?? '') && !/^-?\d+(\.\d+)?$/.test(value)) return 'Type a number.';
  return { ...base, compare: n.how, value };
}

/** Reads a filter of the document; undefined for one that has no form here, which stays as it is. */
export function narrowingOf(doc: Omit<ArriveFilter, 'pos'>): Narrowing | undefined {
  const value = doc.value ?? '';
  if (doc.compare !== 'days')
    return /^(in|between)$/.test(doc.compare) ? undefined : { path: doc.path, how: doc.compare, value };
  if (value === '..-1') return { path: doc.path, how: 'days:before', value: '' };
  const past = /^-(\d+)\.\.0$/.exec(value);
  const next = /^0\.\.(\d+)$/.exec(value);
  if (past?.[1]) return { path: doc.path, how: 'days:past', value: past[1] };
  if (next?.[1]) return { path: doc.path, how: 'days:next', value: next[1] };
}

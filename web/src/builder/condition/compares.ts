import type { ConditionRow, NameInfo } from '../../api/client';

type Compare = [id: string, words: string];

const empty: Compare[] = [
  ['empty', 'is empty'],
  ['notEmpty', 'is not empty'],
];
const equal: Compare[] = [
  ['is', 'is'],
  ['isNot', 'is not'],
];
const among: Compare[] = [
  ['in', 'is one of'],
  ['notIn', 'is none of'],
];
const bySize: Compare[] = [
  ['less', 'is less than'],
  ['atMost', 'is at most'],
  ['more', 'is more than'],
  ['atLeast', 'is at least'],
];
const byTime: Compare[] = [
  ['less', 'is before'],
  ['atMost', 'is on or before'],
  ['more', 'is after'],
  ['atLeast', 'is on or after'],
];
const byWords: Compare[] = [
  ['contains', 'contains'],
  ['notContains', 'does not contain'],
  ['begins', 'begins with'],
  ['notBegins', 'does not begin with'],
  ['ends', 'ends with'],
  ['notEnds', 'does not end with'],
];
const truth: Compare[] = [
  ['holds', 'holds'],
  ['holdsNot', 'does not hold'],
];
const quality: Compare[] = [
  ['available', 'is available'],
  ['notAvailable', 'is not available'],
];

/** The comparisons that fit a name, in words. */
export function comparesFor(n: NameInfo | undefined): Compare[] {
  if (!n) return [...equal, ...empty];
  if (n.kind === 'roles')
    return [
      ['role', 'is'],
      ['notRole', 'is not'],
    ];
  if (n.kind === 'shared') return truth;
  const more = n.kind === 'live' ? quality : empty;
  if (n.type === 'yesno') return [...truth, ...more];
  if (n.type === 'record') return [...equal, ...empty];
  if (n.type === 'date' || n.type === 'moment') return [...equal, ...byTime, ...more];
  if (n.choices) return [...equal, ...among, ...bySize, ...more];
  if (n.type === 'text') return [...equal, ...byWords, ...among, ...more];
  return [...equal, ...bySize, ...among, ...more];
}

/** What has no value beside it. */
export function alone(compare: string | undefined): boolean {
  return [...empty, ...truth, ...quality].some(([id]) => id === compare);
}

/** Whether a comparison takes several values. */
export function takesMany(compare: string | undefined): boolean {
  return among.some(([id]) => id === compare);
}

/** Whether a row says all that it needs to. */
export function isComplete(row: ConditionRow): boolean {
  if (row.group) return row.group.rows.every(isComplete);
  if (alone(row.compare)) return true;
  if (takesMany(row.compare)) return (row.values ?? []).length > 0;
  return !!row.with || (row.value ?? '') !== '';
}

/** A row for a name that was just chosen. */
export function freshRow(n: NameInfo): ConditionRow {
  const compare = comparesFor(n)[0]?.[0] ?? 'is';
  if (n.type === 'record' && n.table) return { path: n.path, compare: 'notEmpty' };
  if (n.type === 'date' || n.type === 'moment') return { path: n.path, compare: 'atMost', value: 'today()' };
  return { path: n.path, compare, value: '' };
}

/** A row whose comparison was changed: its value is kept where it still fits. */
export function withCompare(row: ConditionRow, compare: string): ConditionRow {
  const next: ConditionRow = { path: row.path, compare };
  if (alone(compare)) return next;
  if (takesMany(compare)) return { ...next, values: row.values ?? (row.value ? [row.value] : []) };
  return { ...next, value: row.value ?? row.values?.[0] ?? '', with: row.with };
}

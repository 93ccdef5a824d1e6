/** How a row compares with a day. */
export const dayKinds: [string, string][] = [
  ['today', 'today'],
  ['ago', 'days ago'],
  ['ahead', 'days from now'],
  ['day', 'the day'],
];

/** Which of them a value is. */
export function dayKind(value: string): string {
  if (value === 'today()') return 'today';
  if (value.startsWith('today()-')) return 'ago';
  if (value.startsWith('today()+')) return 'ahead';
  return 'day';
}

/** What such a value begins with. */
export function firstOf(kind: string): string {
  return { today: 'today()', ago: 'today()-7', ahead: 'today()+7' }[kind] ?? '';
}

import type { PlantNode } from '../../api/client';

const kinds: Record<string, string> = {
  yesno: 'yes or no',
  whole: 'a whole number',
  number: 'a number',
  text: 'a text',
};

/** A value as it is now, with what the plant tells of it. */
export function valueWords(n: PlantNode): string {
  if (!n.readable) return 'of a kind that is not shown';
  const range = n.low !== undefined && n.high !== undefined ? `, ${n.low} to ${n.high}` : '';
  const is = n.kind === 'yesno' ? (n.now === 'true' ? 'yes' : 'no') : n.now;
  const now = n.now === undefined ? '' : `${is}${n.unit ? ` ${n.unit}` : ''} now; `;
  return `${now}${kinds[n.kind] ?? n.kind}${range}${n.writable ? ', can be written' : ''}`;
}

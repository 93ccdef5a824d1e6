import type { Document } from '../../../document/document.gen';
import { entityOf, inOrder } from '../../../document/parts';
import { recordTable, screenOf } from '../../../document/screens';
import { fieldsOf } from '../../../document/tables';
import type { Choice } from '../../Picker';

/** A value that is at hand where a way begins, as an expression over ids. */
export interface AtHand extends Choice {
  text: string;
}

/**
 * What a way has at hand of a type: the record of its screen, the chosen row, what they refer to or hold, and what the
 * screen was opened with. The likeliest come first.
 */
export function atHand(d: Document, screen: string, row: string | undefined, type: string): AtHand[] {
  const s = screenOf(d, screen);
  const out: AtHand[] = [];
  const of = (root: string, table: string | undefined, itself: string) => {
    const t = entityOf(d, table, 'table');
    if (!t) return;
    if (type === 'record') out.push({ id: root, text: root, words: itself.replace('…', t.one), group: 'At hand' });
    for (const f of fieldsOf(t)) {
      const path = `${root}.${f.id}`;
      if (type === 'record' ? f.type === 'record' : fits(f.type, type))
        out.push({
          id: path,
          text: path,
          words: `its ${f.label.toLowerCase()}`,
          note: itself.replace('…', t.one),
          group: 'At hand',
        });
    }
  };
  if (row) of('row', row, 'the chosen …');
  of('record', recordTable(s), 'this …');
  for (const i of inOrder(s?.inputs)) {
    if (i.id === s?.record || !fits(i.type, type)) continue;
    const text = `inputs.${i.id}`;
    out.push({
      id: text,
      text,
      words: i.label.toLowerCase(),
      note: 'what this screen was opened with',
      group: 'At hand',
    });
  }
  return out;
}

const numbers = ['whole', 'number', 'decimal'];

function fits(type: string, wanted: string): boolean {
  return type === wanted || (numbers.includes(type) && numbers.includes(wanted));
}

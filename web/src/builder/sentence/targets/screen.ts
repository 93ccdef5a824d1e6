import { entityOf } from '../../../document/parts';
import { recordTable, screensOf } from '../../../document/screens';
import type { TargetKind } from './target';

/** The screens of the project, by area, and forms for new records. What they are given is proposed when one is chosen. */
export const screen: TargetKind = (of) => [...screens(of), ...newRecords(of)];

const screens: TargetKind = ({ entities }) =>
  screensOf(entities).map((s) => ({
    id: s.id,
    words: s.title,
    note: s.type,
    glyph: s.type,
    group: s.area || 'No area',
    move: { kind: 'screen', target: s.id },
  }));

const newRecords: TargetKind = ({ entities }) =>
  screensOf(entities).flatMap((s) => {
    const table = s.type === 'form' ? entityOf(entities, recordTable(s), 'table') : undefined;
    if (!table) return [];
    return {
      id: `new:${s.id}`,
      words: `new ${table.one}`,
      note: `“${s.title}”, to be filled in`,
      glyph: 'plus',
      group: 'New records',
      move: { kind: 'screen', target: s.id, mode: 'add' },
    };
  });

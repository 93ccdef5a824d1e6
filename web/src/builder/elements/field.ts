import type { Document } from '../../document/document.gen';
import { recordTable, screensOf } from '../../document/screens';
import { fieldAlong } from '../../document/tables';
import type { BuiltElement, OfKind } from './element';

export const field: BuiltElement<'field'> = { words, changes: true };

/** Its own label, else that of the field in the table of its screen's record. */
function words(e: OfKind<'field'> & { id?: string }, entities: Document): string {
  if (e.label) return e.label;
  const screen = screensOf(entities).find((s) => e.id !== undefined && s.elements?.[e.id]?.kind === 'field');
  return fieldAlong(entities, recordTable(screen), e.path)?.label ?? 'a field';
}

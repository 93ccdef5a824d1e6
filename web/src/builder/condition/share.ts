import type { BuildHands } from '../context';
import { recordTable, screensOf, text } from '../document';
import { at } from '../edit';
import type { Share } from './ShareForm';

/** What sharing an element's condition needs: it speaks of the clicked row in a list, else of the screen's record. */
export function shareOf(b: BuildHands, element: string | undefined): Share | undefined {
  const body = element ? at(b.entities, [b.screen, 'elements', element]) : undefined;
  const list = text(body, 'kind') === 'list';
  const table = list ? text(body, 'table') : recordTable(screensOf(b.entities).find((s) => s.id === b.screen));
  if (!table) return undefined;
  const conditions = Object.values(b.entities).filter((e) => text(e, 'kind') === 'condition').length;
  return { table, root: list ? 'row' : 'record', pos: conditions + 1, edit: b.edit };
}

import { ownedOf } from '../../document/owner';
import { conditionsOf } from '../../document/project';
import { recordTable, screenOf } from '../../document/screens';
import type { BuildHands } from '../context';
import type { Share } from './ShareForm';

/** What sharing an element's condition needs: it speaks of the chosen row in a list, else of the screen's record. */
export function shareOf(b: BuildHands, element: string | undefined): Share | undefined {
  const body = element ? ownedOf(b.entities, b.screen, element)?.element : undefined;
  const list = body?.kind === 'list' ? body : undefined;
  const table = list ? list.table : recordTable(screenOf(b.entities, b.screen));
  if (!table) return undefined;
  return { table, root: list ? 'row' : 'record', pos: conditionsOf(b.entities).length + 1, edit: b.edit };
}

import { useCallback } from 'react';
import { newId } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { elementsOf, screenOf } from '../../../document/screens';
import { moveTo } from '../../sentence/proposals';
import { useWhole } from '../context';

/**
 * Makes a way of a wire that was pulled from one plate to another: a button below all that stands on the screen, wired
 * with the record that is proposed best; then it is opened, to be seen.
 */
export function usePulledWay() {
  const { project, draft, edit, openScreen } = useWhole();
  return useCallback(
    async (from: string, to: string) => {
      const { entities } = draft;
      const target = screenOf(entities, to);
      const screen = entityOf(entities, from, 'screen');
      if (!screen || !target) return;
      const row = 1 + Math.max(0, ...elementsOf(entities, from).map((e) => e.cell.row + (e.cell.h ?? 1) - 1));
      const element = newId('e');
      const button = { kind: 'button', pos: row * 10, cell: { row, col: 1, w: 3 }, words: target.title };
      const place = [from, 'elements', element];
      const made = screen.elements
        ? { op: 'add', path: `/${place.join('/')}`, value: button }
        : { op: 'add', path: `/${from}/elements`, value: { [element]: button } };
      await edit([made]); // it has to be there for its record to be proposed
      const at = [...place, 'gate'];
      const move = await moveTo(
        { project, entities, screen: from, element, trigger: 'release', at, wiring: at },
        target,
      );
      await edit([{ op: 'add', path: `/${at.join('/')}`, value: { cases: { c_1: { pos: 1, move } } } }]);
      openScreen(from, element);
    },
    [project, draft, edit, openScreen],
  );
}

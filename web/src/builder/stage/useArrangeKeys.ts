import { useEffect } from 'react';
import type { Cell } from '../../document/document.gen';
import { elementsOf, screenOf } from '../../document/screens';
import { useSteady } from '../../ui/useSteady';
import { useBuild } from '../context';
import { builtOf } from '../elements/all';
import { arranged, stepped } from './arrange';
import { copiedElement, copyElement, pasted } from './elementClipboard';
import { takenOut } from './several';

const arrows: Record<string, { col?: number; row?: number }> = {
  ArrowLeft: { col: -1 },
  ArrowRight: { col: 1 },
  ArrowUp: { row: -1 },
  ArrowDown: { row: 1 },
};

/**
 * Keys for the chosen element: arrows move it by a cell, with Shift its right and lower edge; Delete takes it out;
 * Ctrl+C, X, V and D copy, cut, put in and double; Escape lets it go.
 */
export function useArrangeKeys(place: (changed: Map<string, Cell>) => Promise<unknown>) {
  const { entities, screen, chosen, several, choose, edit } = useBuild();
  const press = useSteady((e: KeyboardEvent) => {
    if (e.altKey || !isFree(e.target)) return;
    const all = elementsOf(entities, screen);
    const one = all.find((x) => x.id === chosen);
    const key = e.key.toLowerCase();
    const done = () => {
      e.preventDefault();
      e.stopPropagation();
    };
    const takeOut = () => {
      choose(undefined);
      const out = several.length > 0 ? all.filter((x) => several.includes(x.id)) : one ? [one] : [];
      void edit(takenOut(entities, screen, out));
    };
    if (e.ctrlKey || e.metaKey) {
      if (e.shiftKey || window.getSelection()?.toString()) return;
      const what = key === 'v' ? copiedElement() : one;
      if (!what || !'cxvd'.includes(key)) return;
      done();
      if (key === 'c' || key === 'x') copyElement(what);
      if (key === 'x') takeOut();
      if (key === 'v' || key === 'd') {
        const { id, ops } = pasted(entities, screen, what, one);
        choose(id); // at once: the next key is meant for it
        void edit(ops);
      }
      return;
    }
    if (e.key === 'Escape') return choose(undefined); // wherever the focus is: after something was put it is nowhere
    if (!one) return;
    if (e.key === 'Delete') {
      done();
      takeOut();
    }
    const by = arrows[e.key];
    if (!by || (e.target instanceof Element && e.target.closest('[role=tablist], [role=menu], [role=row]'))) return;
    done();
    const tall = screenOf(entities, screen)?.type === 'operator';
    if (e.shiftKey && by.row && !(tall || builtOf(one).tall)) return;
    const cell = stepped(one.cell, e.shiftKey ? { w: by.col, h: by.row } : by);
    const changed = arranged(all, one.id, { cell }, tall);
    if (changed.size > 0) void place(changed);
  });
  useEffect(() => {
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [press]);
}

/** Whether a key is meant for the stage: nothing is typed in, and nothing lies over it. */
function isFree(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.isContentEditable || target.closest('input, textarea, select, [role=dialog]')) return false;
  return target === document.body || target.closest('[data-stage]') !== null;
}

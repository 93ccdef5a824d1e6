import { useEffect, useRef } from 'react';
import type { Cell, Document } from '../../document/document.gen';
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
export function useArrangeKeys(place: (changed: Map<string, Cell>, id: string) => Promise<unknown>) {
  const { entities, screen, chosen, several, choose, edit } = useBuild();
  const step = useSteps(entities, screen, place);
  const press = useSteady((e: KeyboardEvent) => {
    // Several are let go from their panel too: no sentence of theirs has the focus.
    if (e.key === 'Escape' && (isFree(e.target) || (several.length > 0 && !isTyped(e.target))))
      return choose(undefined);
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
    if (!one) return;
    if (e.key === 'Delete') {
      done();
      takeOut();
    }
    const by = arrows[e.key];
    if (!by || (e.target instanceof Element && e.target.closest('[role=tablist], [role=menu], [role=row]'))) return;
    done();
    if (e.shiftKey && by.row && !(operator(entities, screen) || builtOf(one).tall)) return;
    void step(one.id, e.shiftKey ? { w: by.col, h: by.row } : by);
  });
  useEffect(() => {
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [press]);
}

/** Whether something is typed in, or lies over the stage: its keys are its own. */
function isTyped(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return true;
  return target.isContentEditable || target.closest('input, textarea, select, [role=dialog], [role=menu]') !== null;
}

/** Whether keys are meant for the stage. */
function isFree(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement) || isTyped(target)) return false;
  return target === document.body || target.closest('[data-stage]') !== null;
}

type Step = Parameters<typeof stepped>[1];

const operator = (entities: Document, screen: string) => screenOf(entities, screen)?.type === 'operator';

/**
 * Steps of an element, however fast they come: what is pressed while one is under way is made from where that one leads,
 * all of it at once.
 */
function useSteps(
  entities: Document,
  screen: string,
  place: (changed: Map<string, Cell>, id: string) => Promise<unknown>,
) {
  const waiting = useRef<{ id: string; by: Step }[]>([]);
  const under = useRef(false);
  const take = useSteady(async () => {
    const id = waiting.current[0]?.id;
    const next = waiting.current.findIndex((w) => w.id !== id);
    const steps = waiting.current.splice(0, next < 0 ? waiting.current.length : next);
    const all = elementsOf(entities, screen);
    const one = all.find((x) => x.id === id);
    if (!one) return;
    const cell = steps.reduce((c, { by }) => stepped(c, by), one.cell);
    const changed = arranged(all, one.id, { cell }, operator(entities, screen));
    if (changed.size > 0) await place(changed, one.id);
  });
  return useSteady(async (id: string, by: Step) => {
    waiting.current.push({ id, by });
    if (under.current) return;
    under.current = true;
    try {
      while (waiting.current.length > 0) {
        await take();
        await new Promise((drawn) => setTimeout(drawn)); // with what it came to
      }
    } finally {
      under.current = false;
    }
  });
}

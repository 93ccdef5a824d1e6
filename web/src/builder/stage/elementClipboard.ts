import type { Document, Element } from '../../document/document.gen';
import { newId, type Op, put } from '../../document/edit';
import { posBehind } from '../../document/parts';
import { elementsOf } from '../../document/screens';

const kept = 'ambergate.element';

/** Copies an element, for any screen of any application that is built in this browser. */
export function copyElement(element: Element) {
  localStorage.setItem(kept, JSON.stringify(element));
}

/** What was copied last; nothing where it cannot be read. */
export function copiedElement(): Element | undefined {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(kept) ?? 'null');
    return isElement(found) ? found : undefined;
  } catch {
    return undefined;
  }
}

function isElement(v: unknown): v is Element {
  return (
    typeof v === 'object' && v !== null && 'kind' in v && 'cell' in v && typeof v.cell === 'object' && v.cell !== null
  );
}

/**
 * The edit that puts a copy on a screen, below everything or beside an element, and the id that it gets. What it names
 * that is not there, a screen or a field of another application, is told as a finding.
 */
export function pasted(d: Document, screen: string, element: Element, beside?: Element): { id: string; ops: Op[] } {
  const all = elementsOf(d, screen);
  const below = Math.max(0, ...all.map((e) => e.cell.row + Math.max(1, e.cell.h ?? 1) - 1)) + 1;
  const right = beside && beside.cell.col + beside.cell.w;
  const free =
    beside &&
    right &&
    right + element.cell.w <= 13 &&
    !all.some((e) => inRow(e, beside.cell.row) && e.cell.col < right + element.cell.w && e.cell.col + e.cell.w > right);
  const cell =
    free && beside && right ? { ...element.cell, row: beside.cell.row, col: right } : { ...element.cell, row: below };
  const id = newId('e');
  const tabs = element.tab?.split('.')[0];
  const tab = tabs && all.some((e) => e.id === tabs) ? element.tab : undefined;
  const { tab: _, id: __, ...rest } = { id: '', ...element }; // its own id stays with it
  const body = { ...rest, cell, pos: posBehind(all), ...(tab ? { tab } : {}) };
  return { id, ops: put(d, [screen, 'elements', id], body) };
}

const inRow = (e: Element, row: number) => e.cell.row <= row && row < e.cell.row + Math.max(1, e.cell.h ?? 1);

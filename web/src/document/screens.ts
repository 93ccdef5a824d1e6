import type { Document, Element, Input, ListElement, Screen, SharedGate } from './document.gen';
import { entitiesOf, entityOf, inOrder, type Kept } from './parts';

export type ScreenDoc = Kept<Screen>;
export type InputDoc = Kept<Input>;

/** The screens of the project by area, in their order there; those without a place of their own come behind, by title. */
export function screensOf(d: Document): ScreenDoc[] {
  const area = (s: Screen) => s.area ?? '';
  const pos = (s: Screen) => s.pos ?? Number.MAX_VALUE;
  return entitiesOf(d, 'screen').sort(
    (a, b) => area(a).localeCompare(area(b)) || pos(a) - pos(b) || a.title.localeCompare(b.title),
  );
}

/** One screen, with its id. */
export function screenOf(d: Document, id: string | undefined): ScreenDoc | undefined {
  const screen = entityOf(d, id, 'screen');
  return screen && { ...screen, id: id ?? '' };
}

/** What a screen or a shared gate is given, in order. */
export function inputsOf(of: Screen | SharedGate | undefined): InputDoc[] {
  return inOrder(of?.inputs);
}

/** The table of a screen's own record. */
export function recordTable(s: Screen | undefined): string | undefined {
  return s?.inputs?.[s.record ?? '']?.table;
}

/** The elements of a screen, in order. */
export function elementsOf(d: Document, screen: string): Kept<Element>[] {
  return inOrder(entityOf(d, screen, 'screen')?.elements);
}

const isList = (e: Kept<Element>): e is Kept<ListElement> => e.kind === 'list';

/** The lists of children on a screen. */
export function childListsOf(d: Document, screen: string): Kept<ListElement>[] {
  return elementsOf(d, screen)
    .filter(isList)
    .filter((l) => l.relation);
}

/** The topmost list of a screen that is not one of children. */
export function mainListOf(d: Document, screen: string | undefined): Kept<ListElement> | undefined {
  const lists = elementsOf(d, screen ?? '')
    .filter(isList)
    .filter((l) => !l.relation);
  return lists.sort((a, b) => a.cell.row - b.cell.row)[0];
}

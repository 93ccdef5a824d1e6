import type { Cell, Document, Element } from '../../document/document.gen';
import { type Op, put } from '../../document/edit';
import type { Kept } from '../../document/parts';
import { elementsOf, screenOf, screensOf } from '../../document/screens';
import { arranged } from './arrange';

/** What makes an element the like of one on another screen: that it says, or shows, the same. */
function saying(e: Element): string | undefined {
  switch (e.kind) {
    case 'button':
    case 'text':
      return e.words;
    case 'field':
      return e.path;
    case 'image':
      return e.picture;
  }
  return undefined;
}

const placeOf = (c: Cell) => `${c.row}.${c.col}.${c.w}`;

/** The likes of an element that stood where it stood, on other screens of the same kind. */
export function likesOf(
  d: Document,
  screen: string,
  e: Kept<Element>,
  was: Cell,
): { screen: string; element: string }[] {
  const says = saying(e);
  const type = screenOf(d, screen)?.type;
  if (!says || !type) return [];
  return screensOf(d)
    .filter((s) => s.id !== screen && s.type === type)
    .flatMap((s) =>
      elementsOf(d, s.id)
        .filter((x) => x.kind === e.kind && saying(x) === says && placeOf(x.cell) === placeOf(was))
        .map((x) => ({ screen: s.id, element: x.id })),
    );
}

/** The edit that puts the likes of an element where it stands now; what is in the way makes room there too. */
export function movedToo(d: Document, likes: { screen: string; element: string }[], cell: Cell): Op[] {
  return likes.flatMap(({ screen, element }) => {
    const all = elementsOf(d, screen);
    const own = all.find((x) => x.id === element);
    if (!own) return [];
    const tall = screenOf(d, screen)?.type === 'operator';
    const goal = { cell: { ...own.cell, row: cell.row, col: cell.col, w: cell.w } };
    return [...arranged(all, element, goal, tall)].flatMap(([id, c]) => put(d, [screen, 'elements', id, 'cell'], c));
  });
}

/** What stands in a window: its edges, in pixels from the window's upper left. */
export interface Edges {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** Where a box is put, in pixels from the edges of the window, and how tall it may be. */
export interface Beside {
  left: number;
  top?: number;
  bottom?: number;
  room: number;
}

const gap = 6;
const margin = 8;
const enough = 220; // px: as tall as a box should be allowed to be before it goes to the other side

/** Places a box below or above what it belongs to, within the window: on the side that is wanted if it has room there. */
export function beside(
  anchor: Edges,
  view: { width: number; height: number },
  wish: { width: number; up?: boolean; align?: 'left' | 'right' },
): Beside {
  const above = anchor.top - gap - margin;
  const below = view.height - anchor.bottom - gap - margin;
  const up = wish.up ? above >= enough || above > below : below < enough && above > below;
  const wanted = wish.align === 'right' ? anchor.right - wish.width : anchor.left;
  const left = Math.max(margin, Math.min(wanted, view.width - wish.width - margin));
  return up
    ? { left, bottom: view.height - anchor.top + gap, room: above }
    : { left, top: anchor.bottom + gap, room: below };
}

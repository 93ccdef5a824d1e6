import type { Cell, Element } from '../../document/document.gen';

/** An element as far as its place is concerned. */
export type Placed = Pick<Element, 'cell' | 'modes' | 'tab'> & { id: string; kind?: Element['kind'] };

/** Where something is put: into a cell, or between two rows. */
export interface Goal {
  cell: Cell;
  /** What stands in this row and below goes down by one. */
  between?: boolean;
}

export const columns = 12;
const most = 500; // rows

const isFrame = (e: Placed | undefined) => e?.kind === 'group';

/** Rows that something takes: frames always as many as they hold, others only on operator screens (tall). */
const height = (e: Placed, c: Cell, tall: boolean) => (tall || isFrame(e) ? Math.max(1, c.h ?? 1) : 1);

/** Whether two elements are never there at once: in other modes of a form, or in other tabs. */
function apart(a: Placed, b: Placed): boolean {
  if (a.tab && b.tab && a.tab !== b.tab) return true;
  const { modes } = b;
  return !!a.modes && !!modes && !Object.keys(a.modes).some((m) => a.modes?.[m] && modes[m]);
}

/** Cells of a screen while something is put somewhere. */
class Plan {
  readonly now: Map<string, Cell>;
  private readonly byId: Map<string, Placed>;
  private readonly inside = new Map<string, string>(); // element → the frame that it stood in

  constructor(
    readonly all: Placed[],
    private readonly tall: boolean,
  ) {
    this.byId = new Map(all.map((e) => [e.id, e]));
    this.now = new Map(all.map((e) => [e.id, e.cell]));
    for (const e of all) {
      const frame = this.frameOf(e.id);
      if (frame) this.inside.set(e.id, frame.id);
    }
  }

  cell(id: string): Cell {
    return this.now.get(id) ?? { row: 1, col: 1, w: 1 };
  }

  /** The narrowest frame that an element stands in now, itself and what it holds left out. */
  frameOf(id: string): Placed | undefined {
    const cell = this.cell(id);
    const around = this.all.filter((f) => isFrame(f) && f.id !== id && holds(this.cell(f.id), cell));
    return around.sort((a, b) => this.cell(a.id).w - this.cell(b.id).w || this.cell(b.id).row - this.cell(a.id).row)[0];
  }

  /** All that stood in a frame, in frames within it too. */
  heldBy(frame: string): string[] {
    const own = [...this.inside].filter(([, f]) => f === frame).map(([id]) => id);
    return own.flatMap((id) => [id, ...this.heldBy(id)]);
  }

  move(id: string, to: Cell) {
    const was = this.cell(id);
    this.now.set(id, to);
    for (const held of isFrame(this.byId.get(id)) ? this.heldBy(id) : []) {
      const c = this.cell(held);
      const col = Math.min(c.col + to.col - was.col, to.col + to.w - 1); // a frame that gets narrower keeps what it holds
      this.now.set(held, { ...c, row: c.row + to.row - was.row, col, w: Math.min(c.w, to.col + to.w - col) });
    }
  }

  /** Makes a row free: what stands in it and below goes down by one, and a frame around it grows. */
  open(row: number, id: string) {
    const still = new Set([id, ...this.heldBy(id)]);
    for (const e of this.all) {
      const c = this.cell(e.id);
      if (still.has(e.id)) continue;
      if (c.row >= row) this.now.set(e.id, { ...c, row: c.row + 1 });
      else if (isFrame(e) && row < c.row + height(e, c, true)) this.now.set(e.id, { ...c, h: height(e, c, true) + 1 });
    }
  }

  /** Puts an element into the frame that its cell begins in: below the heading, and no wider. */
  enter(id: string) {
    const c = this.cell(id);
    const within = (f: Placed) => {
      const at = this.cell(f.id);
      const rows = c.row >= at.row && c.row < at.row + height(f, at, true);
      return (
        isFrame(f) && f.id !== id && !this.heldBy(id).includes(f.id) && rows && c.col >= at.col && c.col < at.col + at.w
      );
    };
    const frame = this.all.filter(within).sort((a, b) => this.cell(a.id).w - this.cell(b.id).w)[0];
    this.inside.delete(id);
    if (!frame) return undefined;
    this.inside.set(id, frame.id);
    const at = this.cell(frame.id);
    this.move(id, { ...c, row: Math.max(c.row, at.row + 1), w: Math.min(c.w, at.col + at.w - c.col) });
    return frame;
  }

  /** Gives a frame the height of what it holds. */
  grow(frame: Placed) {
    const at = this.cell(frame.id);
    const held = this.heldBy(frame.id);
    const end = Math.max(at.row + 1, ...held.map((e) => this.bottom(e)));
    const h = end - at.row;
    if (h !== height(frame, at, true)) this.now.set(frame.id, { ...at, h });
  }

  private bottom(id: string): number {
    const e = this.byId.get(id);
    const c = this.cell(id);
    return c.row + (e ? height(e, c, this.tall) : 1);
  }

  private covers(a: Placed, ca: Cell, b: Placed, cb: Cell): boolean {
    const beside = ca.col < cb.col + cb.w && cb.col < ca.col + ca.w;
    return beside && ca.row < cb.row + height(b, cb, this.tall) && cb.row < ca.row + height(a, ca, this.tall);
  }

  /** Lets what stands beside an element, in the same frame or in none, make room for it by going down. */
  settle(id: string, frame: string | undefined) {
    const first = this.byId.get(id);
    if (!first) return;
    const own = new Set([id, ...this.heldBy(id)]);
    const rest = this.all.filter((e) => !own.has(e.id) && this.inside.get(e.id) === frame);
    rest.sort((a, b) => this.cell(a.id).row - this.cell(b.id).row);
    const settled = [first];
    // What stood on another already may stay there.
    const stays = (a: Placed, b: Placed) =>
      apart(a, b) || (a.id !== id && b.id !== id && this.covers(a, a.cell, b, b.cell));
    for (const other of rest) {
      for (let again = true; again && this.cell(other.id).row < most; ) {
        const here = this.cell(other.id);
        const over = settled.find((s) => !stays(s, other) && this.covers(s, this.cell(s.id), other, here));
        again = !!over;
        if (over) this.move(other.id, { ...here, row: this.bottom(over.id) });
      }
      settled.push(other);
    }
  }
}

/** Whether a cell lies within a frame: below the row of its heading. */
export function holds(frame: Cell, c: Cell): boolean {
  const rows = c.row > frame.row && c.row < frame.row + Math.max(1, frame.h ?? 1);
  return rows && c.col >= frame.col && c.col + c.w <= frame.col + frame.w;
}

/**
 * The cells that change when an element is put somewhere: its own, and those of elements that make room for it by going
 * down. A frame takes with it what it holds, and grows by what is put into it. Only operator screens have rows of one
 * height (tall).
 */
export function arranged(all: Placed[], id: string, goal: Goal, tall: boolean): Map<string, Cell> {
  const plan = new Plan(all, tall);
  const left = plan.frameOf(id);
  if (goal.between) plan.open(goal.cell.row, id);
  plan.move(id, goal.cell);
  let frame = plan.enter(id);
  plan.settle(id, frame?.id);
  for (; frame; frame = plan.frameOf(frame.id)) {
    plan.grow(frame);
    plan.settle(frame.id, plan.frameOf(frame.id)?.id);
  }
  if (left && plan.frameOf(id)?.id !== left.id) plan.grow(left);
  return new Map(
    [...plan.now].filter(([e, c]) => JSON.stringify(c) !== JSON.stringify(all.find((x) => x.id === e)?.cell)),
  );
}

/** A cell that is moved or widened by some columns and rows, within the grid. */
export function stepped(c: Cell, by: { col?: number; row?: number; w?: number; h?: number }): Cell {
  const w = Math.max(1, Math.min(c.w + (by.w ?? 0), columns + 1 - c.col));
  const h = by.h === undefined ? c.h : Math.max(1, Math.min((c.h ?? 1) + by.h, 40));
  return {
    ...c,
    col: Math.max(1, Math.min(c.col + (by.col ?? 0), columns + 1 - w)),
    row: Math.max(1, c.row + (by.row ?? 0)),
    w,
    ...(h === undefined ? {} : { h }),
  };
}

/** A row of the grid as it is drawn, in pixels. */
export interface Band {
  row: number;
  top: number;
  bottom: number;
}

const edge = 5; // px above a row that mean “before it”

/** The row that a height on the screen means: in one, before one, or below all. */
export function rowAt(bands: Band[], y: number): { row: number; between?: boolean } {
  for (const b of bands) {
    if (y < b.top + edge) return { row: b.row, between: true };
    if (y <= b.bottom) return { row: b.row };
  }
  return { row: (bands.at(-1)?.row ?? 0) + 1 };
}

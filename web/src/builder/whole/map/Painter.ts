import type { ScreenMap } from '../../../api/client';
import { type Brush, drawing, type Ink } from './draw';
import { type Drawn, drawnWires, seenBox, type View } from './view';

/** What of a map is lit and what steps back. */
export interface Marks {
  lit: Drawn[];
  dim: boolean;
  dimmed: Set<string>; // plates
}

/** A part of the map to be drawn: what is seen of it, with some room around. */
export interface Part {
  view: View;
  width: number;
  height: number;
  room: number;
  scale: number; // of a pixel
  ink: Ink;
}

/** What a painter is given: the map, what is lit of it, the part that is looked at. */
export type Given = { map: ScreenMap } | { marks: Marks } | { part: Part };

/** A part as it is drawn so far, or whole. */
export interface Painted {
  view: View;
  picture: ImageBitmap;
  whole: boolean;
}

/** A canvas beside the page: OffscreenCanvas, or what tests draw on. */
export interface Sheet {
  width: number;
  height: number;
  getContext(kind: '2d'): Brush | null;
  transferToImageBitmap(): ImageBitmap;
}

/**
 * Draws wires beside the page, so that nothing on it waits. The part that was asked for last is drawn; one that nobody
 * looks at any more is left once something of it was shown.
 */
export class Painter {
  private map: ScreenMap | undefined;
  private wires: Drawn[] = [];
  private marks: Marks = { lit: [], dim: false, dimmed: new Set() };
  private wanted: Part | undefined;
  private busy = false;

  constructor(
    private readonly sheet: Sheet,
    private readonly copy: (of: Sheet) => Promise<ImageBitmap>,
    private readonly tell: (what: Painted) => void,
    private readonly turn: () => Promise<void>, // until what else is given was heard
  ) {}

  give(what: Given) {
    if ('map' in what) {
      this.map = what.map;
      this.wires = drawnWires(what.map);
    } else if ('marks' in what) this.marks = what.marks;
    else {
      this.wanted = what.part;
      if (!this.busy) void this.work();
    }
  }

  private async work() {
    this.busy = true;
    while (this.wanted) {
      const part = this.wanted;
      this.wanted = undefined;
      await this.draw(part);
    }
    this.busy = false;
  }

  private async draw({ view, width, height, room, scale, ink }: Part) {
    const brush = this.sheet.getContext('2d');
    if (!brush || !this.map) return;
    this.sheet.width = Math.round((width + 2 * room) * scale);
    this.sheet.height = Math.round((height + 2 * room) * scale);
    const { lit, dim, dimmed } = this.marks;
    const steps = drawing(
      brush,
      { map: this.map, wires: this.wires, lit, dim, shows: (id) => !dimmed.has(id) },
      { ...view, x: view.x + room, y: view.y + room },
      seenBox(view, width, height, room),
      scale,
      ink,
    );
    for (let first = true; ; first = false) {
      if (steps.next().done) {
        this.tell({ view, picture: this.sheet.transferToImageBitmap(), whole: true });
        return;
      }
      if (first) this.tell({ view, picture: await this.copy(this.sheet), whole: false });
      await this.turn();
      if (this.wanted) return;
    }
  }
}

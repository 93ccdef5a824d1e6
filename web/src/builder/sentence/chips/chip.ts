import type { ComponentType } from 'react';
import type { Chunk, WayOut } from '../../../api/client';
import type { WayRef } from '../wiring';

/** The parts of sentences about rights, which the Data view changes. */
type RightsPart = 'table' | 'verbs' | 'rows' | 'changes' | 'hidden' | 'readOnly' | 'guard';

/** The parts of a way's sentence; and what it could say besides. */
export type WayPart = Exclude<Chunk['part'], RightsPart | undefined> | '+case' | '+share';

/** What the picker of a chip is given. */
export interface ChipProps {
  part: WayPart;
  chunk: Omit<Chunk, 'part'>;
  way: WayOut;
  wayRef: WayRef;
  onClose: () => void;
}

/** What a chip can be changed to. */
export type Chip = ComponentType<ChipProps>;

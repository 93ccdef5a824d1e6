import type { ComponentType } from 'react';
import type { OfferedScreen } from '../../../api/client';
import type { Document, Move } from '../../../document/document.gen';
import type { Choice } from '../../Picker';
import type { ChipProps } from '../chips/chip';
import type { actionsOf } from '../effects/all';

/** What a kind of move is offered from. */
export interface TargetsOf {
  entities: Document;
  screen: string;
  offers: OfferedScreen[]; // of other projects
}

/** One thing that a way can lead to: a move, or the form that makes one; or something it does. None: it stays. */
export interface Target extends Choice {
  move?: Move;
  Form?: ComponentType<ChipProps>;
  action?: ReturnType<typeof actionsOf>[number];
}

/** What the builder knows of a kind of move: what of it is offered where. */
export type TargetKind = (of: TargetsOf) => Target[];

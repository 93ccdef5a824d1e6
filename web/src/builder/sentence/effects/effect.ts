import type { ComponentType } from 'react';
import type { Op } from '../../../api/client';
import type { Document, Effect } from '../../../document/document.gen';
import type { Choice } from '../../Picker';
import type { WayRef } from '../wiring';
import type { Standing } from './parts/EffectFrame';

export type Kind = Effect['kind'];

type Effects = { [E in Effect as E['kind']]: E };

/** An effect of one kind; of any, if none is named. */
export type OfKind<K extends Kind = Kind> = { [P in K]: Effects[P] & { kind: P } }[K];

/** What an effect says besides its position. */
export type Body<K extends Kind = Kind> = { [P in K]: Omit<Effects[P], 'pos'> & { kind: P } }[K];

/** Where effects are offered. */
export interface EffectsOf {
  entities: Document;
  screen: string;
}

/** One thing that a gate can do before it moves; without a body its form asks what is to be said of it. */
export interface Action<K extends Kind = Kind> extends Choice {
  group: Group;
  body?: Body<K>;
}

/** What the form of an effect is given: the effect as it is, if it is there already. */
export interface FormProps<K extends Kind> {
  wayRef: WayRef;
  effect?: OfKind<K>;
  standing?: Standing;
  onClose: () => void;
  onDone: (effect: Body<K>, also?: Op[]) => void;
}

/** What the builder knows of a kind of effect. */
export interface BuiltEffect<K extends Kind> {
  actions: (of: EffectsOf) => Action<K>[];
  Form?: ComponentType<FormProps<K>>;
}

/** Under what effects are offered, in this order. */
export const groups = [
  'The record',
  'Records',
  'Rows',
  'What is looked at',
  'What the tab keeps',
  'Drawers',
  'The plant',
] as const;

export type Group = (typeof groups)[number];

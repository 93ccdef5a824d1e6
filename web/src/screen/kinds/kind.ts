import type { ComponentType } from 'react';
import type { ElementView } from '../../api/client';

/** The kinds of elements, as the server draws them. */
export type Kind = ElementView['kind'];

type Views = { [E in ElementView as E['kind']]: E };

/** An element of one kind; of any, if none is named. */
export type OfKind<K extends Kind = Kind> = { [P in K]: Views[P] & { kind: P } }[K];

/** What the client knows of a kind of element. */
export interface ElementKind<K extends Kind> {
  Draw: ComponentType<{ element: OfKind<K> }>;
  /** Of a live value: whether it is known, and what it is shown as once nothing comes in any more. */
  known?: (e: OfKind<K>) => boolean;
  stale?: (e: OfKind<K>, reason: string) => OfKind<K>;
  /** Takes the room that others of its panel leave. */
  grows?: boolean;
  /** What a builder calls it by. */
  words?: (e: OfKind<K>) => string;
}

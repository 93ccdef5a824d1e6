import type { ComponentType } from 'react';
import type { Document, Element } from '../../document/document.gen';
import type { Op } from '../../document/edit';
import type { Kept } from '../../document/parts';
import type { Choice } from '../Picker';

export type Kind = Element['kind'];

type Parts = { [E in Element as E['kind']]: E };

/** An element of the document, of one kind; of any, if none is named. */
export type OfKind<K extends Kind = Kind> = { [P in K]: Parts[P] & { kind: P } }[K];

export interface LookProps<K extends Kind> {
  path: string[]; // of the element
  element: OfKind<K>;
}

/** A way that an element can be given, where it has none of that kind yet. */
export interface Start {
  trigger: string;
  at: string; // member that holds its gate, or the way to it by slashes; of several, that holds them all
  words: string;
  many?: string; // there can be several, each with these words at first
  id?: string; // that a further one gets
  also?: (d: Document, path: string[], id: string) => Op[]; // what comes with it
}

/** What the builder knows of a kind of element. */
export interface BuiltElement<K extends Kind> {
  /** What it is called by, where one is led to a part of the screen; "" where one is not led to it. */
  words?: (e: OfKind<K>, entities: Document) => string;
  /** Parts of it that one can be led to, in its stead. */
  spots?: (e: Kept<OfKind<K>>) => Choice[];
  /** What of its looks can be changed, besides where it stands. */
  Look?: ComponentType<LookProps<K>>;
  /** Its height is the builder's to choose: it is not as tall as what it says. */
  tall?: boolean;
  /** Whose menu gets a further entry: its rows’, its bars’. */
  menuOf?: string;
  /** What it may set off, besides the entries of its menu: where the way stands in it, and how it is said. */
  starts?: Start[];
  /** What parts of it may set off, by what it holds. */
  startsOf?: (e: OfKind<K>) => Start[];
}

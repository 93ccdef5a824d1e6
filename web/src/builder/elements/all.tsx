import type { Document } from '../../document/document.gen';
import type { Kept } from '../../document/parts';
import type { Choice } from '../Picker';
import { button } from './button';
import { chart } from './chart';
import { clip } from './clip';
import type { BuiltElement, Kind, OfKind } from './element';
import { field } from './field';
import { figure } from './figure';
import { gauge } from './gauge';
import { group } from './group';
import { image } from './image';
import { lamp } from './lamp';
import { list } from './list/list';
import { sitePlan } from './sitePlan';
import { steps } from './steps';
import { symbol } from './symbol';
import { tabs } from './tabs';
import { tasks } from './tasks';
import { text } from './text';
import { total } from './total';
import { trend } from './trend';

/** Each kind of element that a project can have: one that is missing here does not compile. */
export const kinds: { [K in Kind]: BuiltElement<K> } = {
  button,
  chart,
  clip,
  field,
  figure,
  gauge,
  group,
  image,
  lamp,
  list,
  sitePlan,
  symbol,
  steps,
  tabs,
  tasks,
  text,
  total,
  trend,
};

/** What the builder knows of an element's kind. */
export function builtOf<K extends Kind>(element: OfKind<K>): BuiltElement<K> {
  return kinds[element.kind];
}

/** Where an element can be led to: itself, or its parts. */
export function spotsOf<K extends Kind>(element: Kept<OfKind<K>>, entities: Document): Choice[] {
  const of = builtOf<K>(element);
  if (of.spots) return of.spots(element);
  const words = of.words?.(element, entities);
  return words ? [{ id: element.id, words, note: element.kind, group: 'Parts of the screen' }] : [];
}

/** The part of an element's looks that its kind has. */
export function look<K extends Kind>(path: string[], element: OfKind<K>) {
  const { Look } = builtOf<K>(element);
  return Look && <Look path={path} element={element} />;
}

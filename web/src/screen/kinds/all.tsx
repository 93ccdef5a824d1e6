import { button } from './button';
import { chart } from './chart';
import { clip } from './clip';
import { field } from './field';
import { figure } from './figure';
import { gauge } from './gauge';
import { group } from './group';
import { image } from './image';
import type { ElementKind, Kind, OfKind } from './kind';
import { lamp } from './lamp';
import { list } from './list';
import { sitePlan } from './sitePlan';
import { steps } from './steps';
import { symbol } from './symbol';
import { tabs } from './tabs';
import { tasks } from './tasks';
import { text } from './text';
import { total } from './total';
import { trend } from './trend';

/** Each kind that the server draws, once: one that is missing here does not compile. */
export const kinds: { [K in Kind]: ElementKind<K> } = {
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

/** What the client knows of an element's kind. */
export function kindOf<K extends Kind>(element: OfKind<K>): ElementKind<K> {
  return kinds[element.kind];
}

/** Draws an element by its kind. */
export function draw<K extends Kind>(element: OfKind<K>) {
  const { Draw } = kindOf(element);
  return <Draw element={element} />;
}

/** An element as it is shown when nothing comes in any more. */
export function stale<K extends Kind>(element: OfKind<K>, reason: string): OfKind<K> {
  return kindOf(element).stale?.(element, reason) ?? element;
}

/** Whether a live value is known; undefined for what is no live value. */
export function known<K extends Kind>(element: OfKind<K>): boolean | undefined {
  return kindOf(element).known?.(element);
}

/** What an element is called by for a builder. */
export function wordsOf<K extends Kind>(element: OfKind<K>): string {
  return kindOf(element).words?.(element) ?? element.kind;
}

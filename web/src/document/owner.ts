import type { Document, Element, Way } from './document.gen';
import { entitiesOf, entityOf } from './parts';

/** Where an element or a way of the screen itself stands in the document, and what it is. */
export interface Owned {
  path: string[];
  element?: Element;
  way?: Way;
}

/** Finds an element: on the screen, on a rail, or as a way of the screen itself. */
export function ownedOf(d: Document, screen: string, id: string): Owned | undefined {
  const own = entityOf(d, screen, 'screen');
  const element = own?.elements?.[id];
  if (element) return { path: [screen, 'elements', id], element };
  const way = own?.ways?.[id];
  if (way) return { path: [screen, 'ways', id], way };
  const rail = entitiesOf(d, 'rail').find((r) => r.elements?.[id]);
  return rail && { path: [rail.id, 'elements', id], element: rail.elements?.[id] };
}

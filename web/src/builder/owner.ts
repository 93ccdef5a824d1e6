import { text } from './document';
import { at, type Entities } from './edit';

/** Where an element stands in the document: on the screen, on a rail, or as a way of the screen itself. */
export function pathOf(entities: Entities, screen: string, element: string): string[] | undefined {
  for (const part of ['elements', 'ways']) {
    if (at(entities, [screen, part, element]) !== undefined) return [screen, part, element];
  }
  const rail = Object.keys(entities).find(
    (id) => text(entities[id], 'kind') === 'rail' && at(entities, [id, 'elements', element]) !== undefined,
  );
  return rail ? [rail, 'elements', element] : undefined;
}

import type { Column } from '../document/document.gen';

/** An order from its end, by the kind of what is ordered. */
export function descending(field: Pick<Column, 'type' | 'choices'> | undefined): string {
  switch (field?.type) {
    case 'date':
    case 'moment':
      return 'newest first';
    case 'text':
      return field.choices?.length ? 'the highest first' : 'Z to A';
    case 'yesno':
      return 'yes first';
  }
  return 'the highest first';
}

import { FieldElement } from '../form/FieldElement';
import type { ElementKind } from './kind';

/** One field of the record. */
export const field: ElementKind<'field'> = { Draw: FieldElement, words: (e) => e.field.label };

import { ListElement } from '../list/ListElement';
import type { ElementKind } from './kind';

/** A list of records. */
export const list: ElementKind<'list'> = { Draw: ListElement };

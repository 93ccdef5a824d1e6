import type { Clip, Condition, Document, Picture, Rail, Role, SharedGate } from './document.gen';
import { entitiesOf, entityOf, type Kept } from './parts';

const byPos = (a: { pos: number }, b: { pos: number }) => a.pos - b.pos;

/** The roles of the project, in order. */
export function rolesOf(d: Document): Kept<Role>[] {
  return entitiesOf(d, 'role').sort(byPos);
}

/** The shared conditions, in order. */
export function conditionsOf(d: Document): Kept<Condition>[] {
  return entitiesOf(d, 'condition').sort(byPos);
}

/** The shared gates by name. */
export function sharedGatesOf(d: Document): Kept<SharedGate>[] {
  return entitiesOf(d, 'gate').sort((a, b) => a.name.localeCompare(b.name));
}

/** The rails, outermost first. */
export function railsOf(d: Document): Kept<Rail>[] {
  return entitiesOf(d, 'rail').sort(byPos);
}

/** The pictures of the project. */
export function picturesOf(d: Document): Kept<Picture>[] {
  return entitiesOf(d, 'picture');
}

/** The clips of the project. */
export function clipsOf(d: Document): Kept<Clip>[] {
  return entitiesOf(d, 'clip');
}

/** The language that numbers and dates of the application are written in. */
export function languageOf(d: Document): string {
  return entityOf(d, 'project', 'project')?.language ?? 'en';
}

/** Whether there is something to release: changes, or nothing was released yet. */
export function isReleasable(d: { released: number; trial?: number; changes: number }): boolean {
  return (d.trial ?? d.released) === 0 || d.changes > 0;
}

/** Where an entity that is no screen belongs, for people. */
export function placeOf(d: Document, entity: string | undefined): string {
  const e = d[entity ?? ''];
  switch (e?.kind) {
    case 'grant': {
      const table = d[e.table];
      return `rights on ${table?.kind === 'table' ? table.label.toLowerCase() : 'a table that is gone'}`;
    }
    case 'condition':
      return 'shared conditions';
    case 'table':
      return e.label;
    case 'rail':
      return `the rail “${e.name}”`;
    case 'equipment':
    case 'tag':
      return 'the plant';
  }
  return 'the application';
}

/** Which page of the Data view shows an entity. */
export function dataPageOf(d: Document, entity: string | undefined): string {
  const e = d[entity ?? ''];
  switch (e?.kind) {
    case 'grant':
      return e.table;
    case 'variable':
      return 'variables';
    case 'condition':
      return 'conditions';
    case 'equipment':
    case 'tag':
      return 'plant';
    case 'table':
      return entity ?? 'tables';
  }
  return 'tables';
}

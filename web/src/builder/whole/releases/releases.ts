import type { ChangeTold, Draft, ReleaseTold } from '../../../api/client';

/** What is different in one entity. */
export interface ChangedEntity {
  entity: string;
  kind: string;
  name: string;
  changes: ChangeTold[];
  by: string[]; // who changed it
}

/** Changes by the entity that they are of, in the order in which they are told. */
export function byEntity(changes: ChangeTold[]): ChangedEntity[] {
  const found = new Map<string, ChangedEntity>();
  for (const c of changes) {
    const of = found.get(c.entity) ?? { entity: c.entity, kind: c.kind, name: c.name, changes: [], by: [] };
    of.changes.push(c);
    of.by = [...new Set([...of.by, ...(c.by ?? [])])];
    found.set(c.entity, of);
  }
  return [...found.values()];
}

/** Entities of which nothing is said but that they are new, by kind: where they are many, they are told in a line. */
export function plainlyMade(all: ChangedEntity[]): {
  made: [kind: string, names: string[]][];
  others: ChangedEntity[];
} {
  const plain = all.filter((e) => e.changes.length === 1 && e.changes[0]?.how === 'made' && !e.changes[0].now);
  if (plain.length < 8) return { made: [], others: all };
  const made = new Map<string, string[]>();
  for (const e of plain) made.set(e.kind, [...(made.get(e.kind) ?? []), e.name]);
  return { made: [...made], others: all.filter((e) => !plain.includes(e)) };
}

const kinds: Record<string, string> = {
  project: 'Application',
  screen: 'Screen',
  rail: 'Rail',
  gate: 'Shared gate',
  callUp: 'Call-up',
  condition: 'Condition',
  variable: 'Variable',
  role: 'Role',
  grant: 'Right',
  source: 'Source',
  table: 'Table',
  equipment: 'Equipment',
  tag: 'Value of the plant',
  picture: 'Picture',
  clip: 'Clip',
  expectation: 'Expectation',
  walk: 'Walk',
  acceptance: 'Accepted finding',
};

/** What an entity is called by its kind. */
export function kindWords(kind: string): string {
  return kinds[kind] ?? kind;
}

/** The release that the draft is compared with; 0 for none. */
export function newestOf(d: Pick<Draft, 'released' | 'trial'>): number {
  return d.trial ?? d.released;
}

/** What is compared: an address item “5” is release 5 with the one before it, “5~2” with release 2, “” the draft. */
export function comparedIn(
  item: string | undefined,
  d: Pick<Draft, 'released' | 'trial' | 'changes'>,
): { from: number; to?: number } {
  const newest = newestOf(d);
  // A draft without changes says nothing: then it is what came last.
  if (!item && d.changes === 0 && newest > 0) return { from: newest - 1, to: newest };
  const [to, from] = (item ?? '').split('~').map((n) => (/^\d+$/.test(n) ? Number(n) : undefined));
  if (to === undefined) return { from: from ?? newest };
  return { from: from ?? to - 1, to };
}

/** A release in a few words: who uses it. */
export function usedBy(r: ReleaseTold): string {
  switch (r.use) {
    case 'all':
      return 'in use';
    case 'some':
      return `first for ${listed(r.for)}`;
    default:
      return r.forAllAt ? 'not in use any more' : `was first for ${listed(r.for)}`;
  }
}

/** “a, b and c” */
export function listed(names: string[]): string {
  return names.length < 2 ? (names[0] ?? 'nobody') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

/** What a release came with, in a few words. */
export function contentWords(r: ReleaseTold): string {
  if (r.copyOf) return `release ${r.copyOf} again`;
  return `${r.changes ?? 0} ${r.changes === 1 ? 'change' : 'changes'}`;
}

/** A moment for people: the time alone today, the day else. */
export function moment(at: string, now = new Date()): string {
  const then = new Date(at);
  const time = then.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
  if (then.toDateString() === now.toDateString()) return `today, ${time}`;
  const year = then.getFullYear() === now.getFullYear() ? undefined : 'numeric';
  return `${then.toLocaleDateString([], { weekday: 'short', day: 'numeric', month: 'short', year })}, ${time}`;
}

import type { Finding, WayOut } from '../../api/client';

/** A plate of the right margin: all ways of a screen to one target. */
export interface OutPlate {
  key: string;
  number: number;
  title: string;
  glyph: string;
  target?: string;
  ways: WayOut[];
  findings: Finding[];
}

/** Groups ways by where they lead, those of a rail by the rail: findings first, then as they stand on the screen. */
export function outPlates(ways: WayOut[], findings: Finding[]): OutPlate[] {
  const groups = new Map<string, OutPlate>();
  for (const w of ways) {
    const key = w.rail ? `rail.${w.rail}` : (w.target ?? groupOf(w));
    const group = groups.get(key) ?? {
      key,
      number: 0,
      title: w.rail ?? w.title,
      glyph: w.rail ? 'rail' : w.glyph,
      target: w.rail ? undefined : w.target,
      ways: [],
      findings: [],
    };
    group.ways.push(w);
    group.findings.push(...findings.filter((f) => f.element === w.element && (!f.trigger || f.trigger === w.trigger)));
    groups.set(key, group);
  }
  const list = [...groups.values()].sort((a, b) => badness(b) - badness(a));
  list.forEach((p, i) => {
    p.number = i + 1;
  });
  return list;
}

/** How bad the worst finding of a plate is. */
function badness(p: OutPlate): number {
  return Math.max(0, ...p.findings.map((f) => (f.severity === 'broken' ? 2 : 1)));
}

/** What ways without a target are grouped by: what stays stands alone, steps, of lists and of tasks, go by their direction. */
function groupOf(w: WayOut): string {
  if (w.kind === 'stay' || w.kind === 'none') return `${w.kind}.${w.element}`;
  return w.kind === 'step' || w.kind === 'task' ? `${w.kind}.${w.title}` : w.kind;
}

/** The number of each element's plate. */
export function numbersOf(plates: OutPlate[]): Record<string, number> {
  return Object.fromEntries(plates.flatMap((p) => p.ways.map((w) => [w.element, p.number])));
}

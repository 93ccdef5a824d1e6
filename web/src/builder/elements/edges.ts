import { ticks } from '../../screen/chart/scale';

/** The numbers at two opposite edges of a site plan. */
export interface Edges {
  from: number;
  to: number;
}

/** Edges with room around what lies between the least and the most; the greater one stays where it was. */
export function edgesAround(extent: number[], now: Edges): Edges | undefined {
  const [least, most] = extent;
  if (least === undefined || most === undefined) return undefined;
  const room = (most - least) * 0.04 || Math.abs(most) * 0.1 || 1;
  const round = ticks([least - room, most + room]);
  const low = Math.max(round[0] ?? 0, least >= 0 && least - room < 0 ? 0 : Number.NEGATIVE_INFINITY);
  const high = round.at(-1) ?? 1;
  return now.from > now.to ? { from: high, to: low } : { from: low, to: high };
}

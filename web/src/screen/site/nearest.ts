/** A place on a picture, in hundredths of its width and height. */
export interface Spot {
  x: number;
  y: number;
}

/** How much further what lies aside counts than what lies ahead. */
const aside = 2;

/** The nearest spot in the direction of an arrow key, by its index; undefined where there is none. */
export function nearest(spots: Spot[], from: number, key: string): number | undefined {
  const at = spots[from];
  const ahead: Record<string, (s: Spot, o: Spot) => [number, number]> = {
    ArrowRight: (s, o) => [s.x - o.x, s.y - o.y],
    ArrowLeft: (s, o) => [o.x - s.x, s.y - o.y],
    ArrowDown: (s, o) => [s.y - o.y, s.x - o.x],
    ArrowUp: (s, o) => [o.y - s.y, s.x - o.x],
  };
  const measure = ahead[key];
  if (!at || !measure) return undefined;
  let best: number | undefined;
  let least = Number.POSITIVE_INFINITY;
  spots.forEach((s, i) => {
    if (i === from) return;
    const [on, off] = measure(s, at);
    const far = on + aside * Math.abs(off);
    if (Math.abs(off) <= aside * on && on > 0 && far < least) [best, least] = [i, far];
  });
  return best;
}

/** Red, green and blue of #rrggbb, from 0 to 255. */
function parts(colour: string): [number, number, number] {
  const n = Number.parseInt(colour.slice(1), 16);
  return [(n >> 16) & 255, (n >> 8) & 255, n & 255];
}

/** Relative luminance (WCAG 2.2), from 0 to 1. */
function luminance(colour: string): number {
  const [r, g, b] = parts(colour).map((v) => {
    const c = v / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * (r ?? 0) + 0.7152 * (g ?? 0) + 0.0722 * (b ?? 0);
}

/** The contrast of two colours (WCAG 2.2), from 1 to 21. */
export function contrast(a: string, b: string): number {
  const [high = 0, low = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (high + 0.05) / (low + 0.05);
}

const steps = 100;

/** The colour nearest to one that reads on a ground: moved towards black or white, whichever is nearer. */
export function readable(colour: string, ground: string, least: number): string {
  if (contrast(colour, ground) >= least) return colour;
  for (let i = 1; i <= steps; i++) {
    for (const end of [0, 255]) {
      const moved = parts(colour).map((v) => Math.round(v + ((end - v) * i) / steps));
      const hex = `#${moved.map((v) => v.toString(16).padStart(2, '0')).join('')}`;
      if (contrast(hex, ground) >= least) return hex;
    }
  }
  return contrast('#000000', ground) > contrast('#ffffff', ground) ? '#000000' : '#ffffff';
}

import { expect, test } from 'vitest';
import { inkOn } from './inkOn';

/** Relative luminance of #rrggbb (WCAG 2.2). */
function light(c: string) {
  const parts = [1, 3, 5].map((i) => Number.parseInt(c.slice(i, i + 2), 16) / 255);
  const [r = 0, g = 0, b = 0] = parts.map((v) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

test('what is written on a colour of one’s own reads on every colour', () => {
  let worst = 21;
  const steps = Array.from({ length: 18 }, (_, i) => i * 15);
  for (const r of steps)
    for (const g of steps)
      for (const b of steps) {
        const ground = `#${[r, g, b].map((v) => v.toString(16).padStart(2, '0')).join('')}`;
        const [more = 0, less = 0] = [light(ground), light(inkOn(ground))].sort((x, y) => y - x);
        worst = Math.min(worst, (more + 0.05) / (less + 0.05));
      }
  expect(worst).toBeGreaterThanOrEqual(4.5);
});

import type { SymbolView } from '../../api/client';

/** A thing of the plant as lines in a square of 64: what can be filled, and what is drawn over it. */
interface Shape {
  body: string; // a closed path
  over?: string;
}

const round = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`;

/** What symbols are drawn as. Where flow sheets have a sign for it that all know, it is that (ISO 10628, ISO 14617). */
export const shapes: Record<SymbolView['shape'], Shape> = {
  motor: { body: round(28, 30, 20), over: 'M19 39V21l9 11 9-11v18M48 30h12M16 54h24M20 48v6M36 48v6' },
  pump: { body: round(32, 32, 22), over: 'M22 12.5L54 32L22 51.5' },
  fan: {
    body: round(32, 32, 24),
    over: 'M32 32C24 20 30 12 38 13C42 20 40 27 32 32C45 27 53 34 50 42C42 44 35 41 32 32C31 46 22 50 15 44C18 36 23 32 32 32',
  },
  valve: { body: 'M6 16L58 48V16L6 48z', over: 'M32 32V12M22 12h20' },
  tank: { body: 'M12 14C12 4 52 4 52 14V50C52 60 12 60 12 50z' },
  belt: {
    body: 'M14 22H50a10 10 0 0 1 0 20H14a10 10 0 0 1 0-20z',
    over: `${round(14, 32, 4)}${round(50, 32, 4)}M26 12h12M34 8l4 4-4 4`,
  },
  door: { body: 'M14 8H50V56H14z', over: 'M32 8V56M27 30v6M37 30v6' },
  heater: { body: 'M6 18H58V46H6z', over: 'M12 32l5-8 8 16 8-16 8 16 8-16 4 8' },
  light: { body: round(32, 32, 20), over: 'M18 18L46 46M46 18L18 46' },
  brake: { body: round(32, 32, 18), over: `${round(32, 32, 5)}M6 22v20h8V22zM50 22v20h8V22z` },
};

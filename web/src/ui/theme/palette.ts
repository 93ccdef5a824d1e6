import { themed } from './colours';

export type Look = 'light' | 'dark';

/** Colours by name that are not the usual ones. */
export type Palette = Partial<Record<string, { light?: string; dark?: string }>>;

/** What each colour of a palette is for, and the token that it takes the place of. */
export const paletteNames: [
  name: string,
  words: string,
  token: 'paper' | 'plate' | 'ink' | 'rule' | 'amber' | 'pine' | 'amberText' | 'brick',
][] = [
  ['ground', 'what screens stand on', 'paper'],
  ['plain', 'plain buttons and fields', 'plate'],
  ['ink', 'what is written', 'ink'],
  ['line', 'lines', 'rule'],
  ['accent', 'what is marked', 'amber'],
  ['going', 'what leads on', 'pine'],
  ['doubtful', 'what is doubtful', 'amberText'],
  ['bad', 'what is bad', 'brick'],
];

/** The usual colour of a name. */
export function usual(name: string, look: Look): string {
  const token = paletteNames.find(([id]) => id === name)?.[2] ?? 'ink';
  return themed[token].value[look === 'light' ? '_light' : '_dark'].toLowerCase();
}

/** The colours that must read on each other, and how well (WCAG 2.2). */
export const pairs: [name: string, ground: string, least: number][] = [
  ['ink', 'ground', 4.5],
  ['ink', 'plain', 4.5],
  ['going', 'ground', 4.5],
  ['going', 'plain', 4.5],
  ['doubtful', 'ground', 4.5],
  ['bad', 'ground', 4.5],
  ['accent', 'ground', 2.5],
];

const isColour = (c: string | undefined) => c !== undefined && /^#[0-9a-f]{6}$/.test(c);

const names: Record<string, string> = { amberText: 'amber-text' };

// What lies between two colours of the palette moves with them.
const between: [token: string, of: string, share: number, and: string][] = [
  ['faint', 'ground', 93, 'ink'],
  ['muted', 'ink', 68, 'ground'],
];

function rules(palette: Palette, look: Look): string {
  const mixed = between
    .filter(([, of, , and]) => isColour(palette[of]?.[look]) || isColour(palette[and]?.[look]))
    .map(([token, of, share, and]) => {
      const now = (name: string) => palette[name]?.[look] ?? usual(name, look);
      return `--chakra-colors-${token}: color-mix(in srgb, ${now(of)} ${share}%, ${now(and)});`;
    });
  return paletteNames
    .flatMap(([name, , token]) => {
      const own = palette[name]?.[look];
      return isColour(own) ? [`--chakra-colors-${names[token] ?? token}: ${own};`] : [];
    })
    .concat(mixed)
    .join(' ');
}

/** Where a look holds: on the whole page, or in one part of it that may have a look of its own. */
export function whereOf(look: Look, within?: string): string {
  const other = look === 'light' ? 'dark' : 'light';
  return within ? `html.${look} ${within}:not(.${other}), ${within}.${look}` : `html.${look}`;
}

/** A palette as a sheet of styles, for the whole page or for one part of it that may have a look of its own. */
export function paletteSheet(palette: Palette | undefined, within?: string): string {
  if (!palette) return '';
  return (['light', 'dark'] as const)
    .map((look) => [whereOf(look, within), rules(palette, look)])
    .filter(([, inside]) => inside !== '')
    .map(([where, inside]) => `${where} { ${inside} }`)
    .join('\n');
}

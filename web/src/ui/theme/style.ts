import { useEffect } from 'react';
import type { StyleView } from '../../api/client';
import { inkOn } from './inkOn';
import { type Look, type Palette, paletteNames, paletteSheet, usual, whereOf } from './palette';

/** What an application looks like: the colours of its palette, and the rest. */
export interface Dress {
  palette?: Palette;
  style?: StyleView;
}

const isColour = (c: string | undefined): c is string => c !== undefined && /^#[0-9a-f]{6}$/.test(c);
const isName = (c: string) => /^[a-z0-9_]+$/.test(c);

/** What is put where a colour is meant: written out, or by its name. */
export const groundOf = (colour: string) => (isName(colour) ? `var(--own-${colour})` : colour);

/** What reads on that colour. */
export const inkOf = (colour: string) => (isName(colour) ? `var(--on-${colour})` : inkOn(colour));

const corners: Record<string, string> = { square: '0', round: '12px' };

const sizes: Record<string, Record<string, string>> = {
  small: { note: '12px', text: '14px', head: '16px', title: '21px' },
  large: { note: '15px', text: '17px', head: '21px', title: '28px' },
};

/** The colours that can be named, each as itself and with what reads on it. */
function named({ palette, style }: Dress, look: Look): string {
  const all: [string, string | undefined][] = [
    ...paletteNames.map(([name]): [string, string] => [name, palette?.[name]?.[look] ?? usual(name, look)]),
    ...Object.entries(style?.colours ?? {}).map(([id, c]): [string, string | undefined] => [id, c[look]]),
  ];
  return all
    .flatMap(([name, c]) => (isName(name) && isColour(c) ? [`--own-${name}: ${c}; --on-${name}: ${inkOn(c)};`] : []))
    .join(' ');
}

/** How all buttons of one look are drawn that the application draws otherwise. */
function buttons(style: StyleView | undefined, at: string): string[] {
  return Object.entries(style?.buttons ?? {}).flatMap(([tone, b]) => {
    if (!isName(tone) || !(isName(b.colour) || isColour(b.colour))) return [];
    const of = `${at} .face[data-tone=${tone}]`;
    const colour = groundOf(b.colour);
    const look =
      b.drawn === 'outlined'
        ? `background: transparent; border-color: ${colour}; color: ${colour};`
        : `background: ${colour}; border-color: ${colour}; color: ${inkOf(b.colour)};`;
    return [`${of}, ${of}:hover { ${look} }`, `${of}:hover { filter: brightness(0.94); }`];
  });
}

/** The looks of an application as a sheet of styles, for the whole page or for one part of it. */
export function dressSheet(dress: Dress, within?: string): string {
  const { palette, style } = dress;
  const at = within ?? 'html';
  const all = (['light', 'dark'] as const).map((look) => `${whereOf(look, within)} { ${named(dress, look)} }`);
  const vars = Object.entries(sizes[style?.text ?? ''] ?? {}).map(
    ([name, px]) => `--chakra-font-sizes-${name}: ${px};`,
  );
  if (style?.text === 'large') vars.push('--wide: 1.16;'); // what is as wide as its words
  if (vars.length > 0) vars.push('font-size: var(--chakra-font-sizes-text);');
  const corner = corners[style?.corners ?? ''];
  if (corner) vars.push(`--corner: ${corner};`);
  if (vars.length > 0) all.push(`${within ?? 'html, html body'} { ${vars.join(' ')} }`);
  return [paletteSheet(palette, within), ...all, ...buttons(style, at)].filter(Boolean).join('\n');
}

/** Dresses the whole page as an application is for as long as a screen of it is there. */
export function useDress(dress: Dress) {
  const sheet = dressSheet(dress);
  useEffect(() => {
    const style = document.createElement('style');
    style.textContent = sheet;
    document.head.append(style);
    return () => style.remove();
  }, [sheet]);
}

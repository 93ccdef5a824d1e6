import type { ReachCell, ReachLine, ReachTable, Who } from '../../../api/client';

/** How a cell is told: in a word or two, and in what colour; the words say all that the colour does. */
export interface CellLook {
  words: string;
  color: string;
  bold?: boolean;
  dashed?: boolean; // it is not proven
}

export function lookOf(c: ReachCell): CellLook {
  if (c.trapped && c.presses)
    return { words: `${c.presses} trap`, color: 'brick', bold: true, dashed: c.kind === 'maybe' };
  switch (c.kind) {
    case 'start':
      return { words: 'start', color: 'ink', bold: true };
    case 'sure':
      return { words: `${c.presses}`, color: 'pine', bold: true };
    case 'given':
      return { words: `${c.presses} if there`, color: 'pine', bold: true };
    case 'maybe':
      return { words: `${c.presses} maybe`, color: 'amberText', bold: true, dashed: true };
    case 'by itself':
      return { words: 'by itself', color: 'amberText' };
    case 'by address':
      return { words: 'address only', color: 'muted' };
    default:
      return { words: 'never', color: 'muted' };
  }
}

/** A cell in full words, for hearing and for what stands above a path. */
export function sayCell(c: ReachCell): string {
  const presses = `${c.presses} ${c.presses === 1 ? 'press' : 'presses'}`;
  const given = c.given?.length ? `, given ${c.given.join(' and ')}` : '';
  const trap = c.trapped ? '; no proven way back' : '';
  switch (c.kind) {
    case 'start':
      return `starts here${trap}`;
    case 'sure':
      return `surely in ${presses}${trap}`;
    case 'given':
      return `in ${presses}${given}${trap}`;
    case 'maybe':
      return `maybe in ${presses}: it is not proven${trap}`;
    case 'by itself':
      return `brought here without a press${trap}`;
    case 'by address':
      return 'by its address only: no way leads here';
    default:
      return 'never: no way leads here, and its address is shut';
  }
}

/** What of the table is shown. */
export interface Shown {
  only: 'all' | 'differ' | 'release' | 'edit' | 'expected' | 'trouble';
  one: string; // of differ: two of who
  other: string;
  find: string;
}

export function linesShown(t: ReachTable, s: Shown): ReachLine[] {
  const at = (key: string) => t.who.findIndex((w) => w.key === key);
  const [one, other] = [at(s.one), at(s.other)];
  const words = s.find.trim().toLowerCase();
  return t.lines.filter((l) => {
    if (words && !`${l.title} ${l.area ?? ''} ${l.type}`.toLowerCase().includes(words)) return false;
    switch (s.only) {
      case 'differ':
        return lookOf(l.cells[one] ?? never).words !== lookOf(l.cells[other] ?? never).words;
      case 'release':
      case 'edit':
        return l.cells.some((c) => c.was);
      case 'expected':
        return l.cells.some((c) => c.expected);
      case 'trouble':
        return l.cells.some((c) => c.trapped || c.expected === 'broken') || !l.cells.some(led);
      default:
        return true;
    }
  });
}

const never: ReachCell = { kind: 'never' };

function led(c: ReachCell): boolean {
  return ['start', 'sure', 'given', 'maybe', 'by itself'].includes(c.kind);
}

/** The columns that are shown: all, or just two that are compared. */
export function columnsShown(t: ReachTable, s: Shown): { who: Who; at: number }[] {
  return t.who
    .map((who, at) => ({ who, at }))
    .filter(({ who }) => s.only !== 'differ' || who.key === s.one || who.key === s.other);
}

/** The table as lines of a file, comma separated (RFC 4180). */
export function csvOf(t: ReachTable): string {
  const quoted = (text: string) => (/[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
  const rows = [
    ['screen', 'area', 'kind', ...t.who.map((w) => w.name)],
    ...t.lines.map((l) => [l.title, l.area ?? '', l.type, ...l.cells.map((c) => lookOf(c).words)]),
  ];
  return rows.map((r) => r.map(quoted).join(',')).join('\r\n');
}

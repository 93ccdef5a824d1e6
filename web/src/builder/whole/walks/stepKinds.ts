import type { Document, Element, Named, WalkStep } from '../../../document/document.gen';
import { entityOf, inOrder, type Kept } from '../../../document/parts';
import { railsOf } from '../../../document/project';
import { elementsOf, mainListOf, recordTable, screenOf } from '../../../document/screens';
import { fieldAlong } from '../../../document/tables';

/** What a step can be, in words: a deed, or a claim. */
export const stepKinds: [id: string, words: string][] = [
  ['open', 'opens a screen by its address'],
  ['open.refused', 'is refused a screen by its address'],
  ['press', 'presses something'],
  ['type', 'types into fields'],
  ['choose', 'chooses a row'],
  ['look', 'looks at the list otherwise'],
  ['go', 'goes back, home, up'],
  ['wait', 'waits'],
  ['plant', 'meanwhile the plant says'],
  ['build', 'changes the application, as an edit did'],
  ['claim.at', 'stands on a screen'],
  ['claim.open', 'something is open'],
  ['claim.greyed', 'something is greyed'],
  ['claim.hidden', 'something is hidden'],
  ['claim.rows', 'a list has so many rows'],
  ['claim.reads', 'something shows words'],
  ['claim.left', 'has left for an address'],
  ['claim.finds', 'the checks find something'],
];

/** The kind of a step among those. */
export function kindOf(s: Pick<WalkStep, 'does' | 'is'>): string {
  return s.is ? `${s.does}.${s.is}` : s.does;
}

/** A step of a kind with nothing in it yet, at a screen. */
export function stepOf(kind: string, screen: string, pos: number): WalkStep {
  const [does, is] = kind.split('.') as [WalkStep['does'], WalkStep['is']];
  const step: WalkStep = { does, pos };
  if (is) step.is = is;
  if (does === 'open' || is === 'at' || has(kind, 'element') || has(kind, 'values') || kind === 'look')
    step.screen = screen;
  if (kind === 'go') step.to = 'back';
  if (kind === 'wait') step.seconds = 60;
  if (is === 'rows') step.count = 1;
  return step;
}

type Part = 'screen' | 'inputs' | 'element' | 'row' | 'words' | 'values';

const parts: Record<string, Part[]> = {
  open: ['screen', 'inputs'],
  'open.refused': ['screen', 'inputs', 'words'],
  press: ['screen', 'element', 'row'],
  type: ['screen', 'values'],
  choose: ['screen', 'element', 'row'],
  look: ['screen'],
  'claim.at': ['screen', 'inputs', 'words'],
  'claim.open': ['screen', 'element'],
  'claim.greyed': ['screen', 'element', 'words'],
  'claim.hidden': ['screen', 'element', 'words'],
  'claim.rows': ['screen', 'element'],
  'claim.reads': ['screen', 'element', 'words'],
  'claim.left': ['words'],
  'claim.finds': ['words'],
};

/** Whether a kind of step has a part. */
export function has(kind: string, part: Part): boolean {
  return parts[kind]?.includes(part) ?? false;
}

/** What is missing for a step to be kept; nothing where it is whole. */
export function missing(s: WalkStep): string | undefined {
  const kind = kindOf(s);
  if (has(kind, 'screen') && kind !== 'look' && !s.screen) return 'choose the screen';
  if (has(kind, 'element') && !s.element) return 'choose what it is about';
  if (kind === 'choose' && !named(s.row)) return 'say which row';
  if (kind === 'type' && Object.keys(s.values ?? {}).length === 0) return 'type something';
  if (kind === 'wait' && !(s.seconds && s.seconds > 0 && s.seconds <= 86_400)) return 'a wait is 1 second to a day';
  if (kind === 'plant' && Object.keys(s.plant ?? {}).length === 0) return 'say what the plant says';
  if (kind === 'build' && Object.keys(s.changes ?? {}).length === 0) return 'choose an edit';
  if (kind === 'claim.rows' && !(Number.isInteger(s.count) && (s.count ?? -1) >= 0)) return 'say how many';
  if ((kind === 'claim.reads' || kind === 'claim.left' || kind === 'claim.finds') && !s.words) return 'say the words';
  return undefined;
}

/** Whether a record is named at all. */
export const named = (n: Named | undefined): boolean => Boolean(n && (n.title || n.where || n.key));

/** Something that can be pressed, or claimed of, with the triggers that it has besides its usual one. */
export interface Aimed {
  id: string;
  words: string;
  rail: boolean;
  table?: string; // whose rows it shows
  triggers: [id: string, words: string][];
}

/** What stands on a screen, and on the rails beside it. */
export function aimsOn(d: Document, screen: string): Aimed[] {
  const own = elementsOf(d, screen).map((e) => aimOf(d, screen, e, false));
  const ways = inOrder(screenOf(d, screen)?.ways)
    .filter((w) => w.trigger === 'keys' || w.trigger === 'swipe')
    .map(
      (w): Aimed => ({
        id: w.id,
        words: w.trigger === 'keys' ? `the keys ${w.keys}` : 'a swipe',
        rail: false,
        triggers: [[w.trigger, '']],
      }),
    );
  const rails = railsOf(d).flatMap((r) => inOrder(r.elements).map((e) => aimOf(d, screen, e, true)));
  return [...own, ...ways, ...rails];
}

function aimOf(d: Document, screen: string, e: Kept<Element>, rail: boolean): Aimed {
  const aim: Aimed = { id: e.id, words: wordsOf(d, screen, e), rail, triggers: [] };
  if (e.kind === 'list') {
    aim.table = e.table;
    aim.triggers = [['', 'opens a row'], ...inOrder(e.menu).map((m): [string, string] => [`menu.${m.id}`, m.words])];
  }
  if (e.kind === 'chart' || e.kind === 'sitePlan') {
    aim.triggers = [['', 'a point'], ...inOrder(e.menu).map((m): [string, string] => [`menu.${m.id}`, m.words])];
  }
  if (e.kind === 'tabs') aim.triggers = inOrder(e.tabs).map((t): [string, string] => [`tab.${t.id}`, t.label]);
  if (e.kind === 'tasks') aim.triggers = inOrder(e.items).map((t): [string, string] => [`task.${t.id}`, t.words]);
  return aim;
}

/** What an element is called where one chooses it. */
export function wordsOf(d: Document, screen: string, e: Kept<Element>): string {
  if (e.kind === 'field') return fieldAlong(d, recordTable(screenOf(d, screen)), e.path)?.label ?? 'a field';
  if (e.kind === 'list') return `the list of ${(entityOf(d, e.table, 'table')?.label ?? 'rows').toLowerCase()}`;
  const words = 'words' in e && e.words ? e.words : 'label' in e && e.label ? e.label : '';
  return words ? `${e.kind} “${words.length > 40 ? `${words.slice(0, 39)}…` : words}”` : e.kind;
}

/** The table of the list of a screen, that a look is at. */
export const listTable = (d: Document, screen: string | undefined): string | undefined => mainListOf(d, screen)?.table;

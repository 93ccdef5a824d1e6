import type { TrailMove } from '../../../document/document.gen';
import type { Target, TargetKind } from './target';

const group = 'Without a target';

const along = (kind: TrailMove['kind'], words: string, note: string): Target => ({
  id: kind,
  words,
  note,
  glyph: kind,
  group,
  move: { kind },
});

// Moves that need no target, each as it is said.
export const back: TargetKind = () => [along('back', 'go back', 'to where one came from')];
export const forward: TargetKind = () => [along('forward', 'go forward', 'to where one went back from')];
export const home: TargetKind = () => [along('home', 'go home', 'to the start screen of the role')];
export const out: TargetKind = () => [along('out', 'sign out', 'end this session')];
export const up: TargetKind = () => [
  { id: 'up', words: 'go up', note: 'to what is “up” from here', glyph: 'up', group, move: { kind: 'up' } },
];
export const close: TargetKind = () => [
  { id: 'close', words: 'close this', note: 'a dialog or drawer', glyph: 'close', group, move: { kind: 'close' } },
];

/** No move at all. */
export const stay: TargetKind = () => [
  { id: 'stay', words: 'stay here', note: 'and only do something', glyph: 'stay', group },
];

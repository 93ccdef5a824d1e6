import { screensOf } from '../../../document/screens';
import type { TargetKind } from './target';

/** The screens of the project, by area. What they are given is proposed when one is chosen. */
export const screen: TargetKind = ({ entities }) =>
  screensOf(entities).map((s) => ({
    id: s.id,
    words: s.title,
    note: s.type,
    glyph: s.type,
    group: s.area || 'No area',
    move: { kind: 'screen', target: s.id },
  }));

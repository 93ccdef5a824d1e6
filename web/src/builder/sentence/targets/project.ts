import type { TargetKind } from './target';

/** Screens that other projects offer. */
export const project: TargetKind = ({ offers }) =>
  offers.map((o) => ({
    id: `project.${o.project}.${o.entry}`,
    words: o.screen,
    note: `of ${o.title}`,
    glyph: 'project',
    group: 'Elsewhere',
    move: { kind: 'project', project: o.project, entry: o.entry },
  }));

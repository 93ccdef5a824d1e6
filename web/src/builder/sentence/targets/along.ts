import { railsOf } from '../../../document/project';
import type { TargetKind } from './target';

/** The order of a rail's buttons. */
export const along: TargetKind = ({ entities }) =>
  railsOf(entities).flatMap((r) =>
    (['next', 'previous'] as const).map((step) => ({
      id: `along.${step}.${r.id}`,
      words: `go to the ${step} along “${r.name}”`,
      glyph: step === 'next' ? 'forward' : 'back',
      group: 'Along a list',
      move: { kind: 'along', step, rail: r.id },
    })),
  );

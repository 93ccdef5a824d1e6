import { ChoiceForm } from './ChoiceForm';
import type { TargetKind } from './target';

/** One of several screens. */
export const choice: TargetKind = () => [
  {
    id: 'choice',
    words: 'one of several screens …',
    note: 'which one is worked out from the data',
    glyph: 'choice',
    group: 'Worked out',
    Form: ChoiceForm,
  },
];

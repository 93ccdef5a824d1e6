import { inOrder } from '../../document/parts';
import { KeptChip } from '../sentence/look/KeptChip';
import type { BuiltElement } from './element';
import { ConditionPart } from './parts/ConditionPart';
import { MarksPart } from './parts/MarksPart';
import { TypedPart } from './parts/TypedPart';

export const figure: BuiltElement<'figure'> = {
  tall: true,
  words: (e) => e.words ?? '',
  Look: ({ path, element: e }) => (
    <>
      <TypedPart path={path} name="words" label="What it is" value={e.words} />
      <KeptChip path={[...path, 'picture']} needed />
      <MarksPart
        path={path}
        label="Marks"
        marks={inOrder(e.marks)}
        more={(at) => <ConditionPart path={at} name="abnormal" label="To be noticed while" />}
      />
    </>
  ),
};

import { Flex } from '@chakra-ui/react';
import type { Mark } from '../../document/document.gen';
import { newId, put } from '../../document/edit';
import { inOrder, posBehind } from '../../document/parts';
import { Action } from '../../ui/controls';
import { Labelled } from '../../ui/Labelled';
import { useBuild } from '../context';
import { PictureChip } from '../sentence/look/PictureChip';
import { WordsField } from '../sentence/look/WordsField';
import type { BuiltElement, LookProps } from './element';
import { ConditionPart } from './parts/ConditionPart';
import { TypedPart } from './parts/TypedPart';

export const figure: BuiltElement<'figure'> = { tall: true, words: (e) => e.words ?? '', Look: FigureLook };

/** The picture, and what is written on it where: in per cent of its width and height. */
function FigureLook({ path, element: e }: LookProps<'figure'>) {
  const { entities, edit } = useBuild();
  const marks = inOrder(e.marks);
  const fresh: Mark = { pos: posBehind(marks), x: 50, y: 50, words: 'New mark' };
  return (
    <>
      <TypedPart path={path} name="words" label="What it is" value={e.words} />
      <PictureChip path={[...path, 'picture']} />
      <Labelled label="Marks">
        {marks.map((m) => {
          const at = [...path, 'marks', m.id];
          return (
            <Flex key={m.id} gap="8px" align="flex-end" mb="4px">
              <WordsField path={at} name="words" label="Words of the mark" bare />
              <TypedPart path={at} name="x" label="From the left, %" value={m.x} number needed />
              <TypedPart path={at} name="y" label="From above, %" value={m.y} number needed />
              <ConditionPart path={at} name="abnormal" label="To be noticed while" />
              <Action
                tone="quiet"
                aria-label={`Remove the mark ${m.words}`}
                onClick={() => void edit(put(entities, at, undefined))}
              >
                ✕
              </Action>
            </Flex>
          );
        })}
        <Action onClick={() => void edit(put(entities, [...path, 'marks', newId('m')], fresh))}>+ a mark</Action>
      </Labelled>
    </>
  );
}

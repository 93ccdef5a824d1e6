import { Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { newId, put } from '../../../document/edit';
import { type Kept, posBehind } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { useBuild } from '../../context';
import { WordsField } from '../../sentence/look/WordsField';
import { TypedPart } from './TypedPart';

interface Mark {
  pos: number;
  x: number;
  y: number;
  words: string;
}

interface MarksProps {
  path: string[]; // of the element
  label: string;
  marks: Kept<Mark>[];
  /** What else can be said of one. */
  more?: (at: string[]) => ReactNode;
}

/** What is written on a picture, and where: in per cent of its width and height. */
export function MarksPart({ path, label, marks, more }: MarksProps) {
  const { entities, edit } = useBuild();
  const fresh: Mark = { pos: posBehind(marks), x: 50, y: 50, words: 'New mark' };
  return (
    <Labelled label={label} wide>
      {marks.map((m) => {
        const at = [...path, 'marks', m.id];
        return (
          <Flex key={m.id} gap="8px" align="flex-end" mb="4px">
            <WordsField path={at} name="words" label="Words of the mark" bare />
            <TypedPart path={at} name="x" label="From the left, %" value={m.x} number needed />
            <TypedPart path={at} name="y" label="From above, %" value={m.y} number needed />
            {more?.(at)}
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
  );
}

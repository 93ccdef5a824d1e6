import { Flex } from '@chakra-ui/react';
import type { RowFace } from '../../../document/document.gen';
import { newId, put } from '../../../document/edit';
import { inOrder, posBehind } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { useBuild } from '../../context';
import { ChosenPart } from './ChosenPart';
import { ConditionPart } from './ConditionPart';
import { TypedPart } from './TypedPart';

interface RowFacesProps {
  path: string[]; // of the element
  faces: Record<string, RowFace> | undefined;
  label: string;
}

const tones = [
  ['', 'plain ●'],
  ['good', 'good ●'],
  ['warn', 'doubtful ▲'],
  ['stop', 'bad ■'],
  ['strong', 'strong ◆'],
  ['quiet', 'quiet ○'],
] as const;

/** How rows or points look while something holds of their record: the first that holds is shown. */
export function RowFaces({ path, faces: kept, label }: RowFacesProps) {
  const { entities, edit } = useBuild();
  const faces = inOrder(kept);
  const fresh: RowFace = { pos: posBehind(faces), tone: 'warn' };
  return (
    <Labelled label={label} wide>
      {faces.map((f) => {
        const at = [...path, 'faces', f.id];
        return (
          <Flex key={f.id} gap="8px" align="flex-end" mb="4px">
            <ConditionPart path={at} name="when" label="While" without="always" />
            <ChosenPart path={at} name="tone" label="Looks" value={f.tone} among={tones} />
            <TypedPart path={at} name="words" label="It means" hint="for the legend" value={f.words} />
            <Action tone="quiet" aria-label="Remove this face" onClick={() => void edit(put(entities, at, undefined))}>
              ✕
            </Action>
          </Flex>
        );
      })}
      <Action onClick={() => void edit(put(entities, [...path, 'faces', newId('q')], fresh))}>+ a face</Action>
    </Labelled>
  );
}

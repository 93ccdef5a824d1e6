import { Flex } from '@chakra-ui/react';
import { Action } from '../../../ui/controls';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { putInMove } from '../wiring';
import type { ChipProps } from './chip';

interface SimpleProps {
  label: string;
  choices: [id: string, words: string][];
  onSave: (id: string) => void;
  onClose: () => void;
}

/** A few words to choose among. */
export function SimplePicker({ label, choices, onSave, onClose }: SimpleProps) {
  return (
    <Pop label={label} onClose={onClose}>
      <Flex direction="column" p="8px" gap="4px" minW="200px">
        {choices.map(([id, words], i) => (
          <Action key={id} autoFocus={i === 0} tone="quiet" justifyContent="flex-start" onClick={() => onSave(id)}>
            {words}
          </Action>
        ))}
      </Flex>
    </Pop>
  );
}

/** To view or to edit the record that is opened. */
export function ModePicker({ chunk, wayRef, onClose }: ChipProps) {
  const { edit } = useBuild();
  const save = (mode: string) => {
    onClose();
    void edit(putInMove(wayRef, chunk.case, ['mode'], mode === 'view' ? undefined : mode));
  };
  const choices: [string, string][] = [
    ['view', 'view'],
    ['edit', 'edit'],
  ];
  return <SimplePicker label="Opened to" choices={choices} onSave={save} onClose={onClose} />;
}

const presentations: [string, string][] = [
  ['full', 'in full'],
  ['dialog', 'as a dialog'],
  ['drawer', 'as a drawer'],
  ['replace', 'in place of this'],
  ['tab', 'in a new tab'],
];

/** In full, over the screen, in its place or in a new tab. */
export function AsPicker({ chunk, wayRef, onClose }: ChipProps) {
  const { edit } = useBuild();
  const save = (as: string) => {
    onClose();
    void edit(putInMove(wayRef, chunk.case, ['as'], as === 'full' ? undefined : as));
  };
  return <SimplePicker label="Opened how" choices={presentations} onSave={save} onClose={onClose} />;
}

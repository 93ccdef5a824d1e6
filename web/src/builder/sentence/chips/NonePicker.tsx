import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Binding, Move } from '../../../document/document.gen';
import { screensOf } from '../../../document/screens';
import { Action, Line, Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { moveOf, putGate } from '../wiring';
import { bindingOf, bindPath, movePath } from './bindings';
import type { ChipProps } from './chip';

type None = NonNullable<Binding['none']>;

/** What can happen at the end of a list, and where a rule finds no record. */
const ends: [None, string][] = [
  ['grey', 'greyed, with the reason'],
  ['round', 'go round'],
  ['stay', 'stay and say so'],
];
const nones: [None, string][] = [
  ['grey', 'greyed, with the reason'],
  ['list', 'open a list instead'],
  ['add', 'offer to add one'],
  ['stay', 'stay and say so'],
];

/** What happens where there is no record: of a step at the end of its list, of a rule that finds none. */
export function NonePicker({ chunk, wayRef, onClose }: Pick<ChipProps, 'chunk' | 'wayRef' | 'onClose'>) {
  const { edit } = useBuild();
  const binding = chunk.item ? bindingOf(chunk, wayRef) : undefined;
  const now = chunk.item ? binding : moveOf(wayRef, chunk.case);
  if (!now) return null;
  const steps = !binding || binding.rule === 'next' || binding.rule === 'previous';
  const path = binding ? bindPath(chunk, wayRef) : movePath(chunk, wayRef);
  return (
    <NoneForm
      now={now}
      lead={binding ? 'If there is no record' : 'At the end of the list'}
      choices={steps ? ends : nones}
      onClose={onClose}
      onSave={(next) => {
        onClose();
        void edit(putGate(wayRef, path, next));
      }}
    />
  );
}

interface FormProps {
  now: Binding | Move;
  lead: string;
  choices: [None, string][];
  onClose: () => void;
  onSave: (next: object) => void;
}

function NoneForm({ now, lead, choices, onClose, onSave }: FormProps) {
  const { entities } = useBuild();
  const [none, setNone] = useState<None>(now.none ?? 'grey');
  const [reason, setReason] = useState(now.reason ?? '');
  const lists = screensOf(entities).filter((s) => s.type === 'list');
  const [screen, setScreen] = useState(('screen' in now && now.screen) || lists[0]?.id || '');
  const says = none === 'grey' || none === 'stay';
  const save = () => {
    const words = (says && reason.trim()) || undefined;
    onSave({ ...now, none, reason: words, screen: none === 'list' ? screen : undefined });
  };
  return (
    <Pop label="If there is none" onClose={onClose}>
      <Box
        as="form"
        p="12px"
        w="340px"
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          save();
        }}
      >
        <Box fontSize="note" color="muted" mb="6px">
          {lead}
        </Box>
        {choices.map(([id, words]) => (
          <Flex as="label" key={id} gap="8px" py="3px" cursor="pointer">
            <input type="radio" name="none" checked={none === id} onChange={() => setNone(id)} />
            {words}
          </Flex>
        ))}
        {says && (
          <Line
            mt="8px"
            aria-label="Reason"
            placeholder="This cabin has never been inspected."
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
        )}
        {none === 'list' && (
          <Select mt="8px" aria-label="Which list" value={screen} onChange={(e) => setScreen(e.target.value)}>
            {lists.map((s) => (
              <option key={s.id} value={s.id}>
                {s.title}
              </option>
            ))}
          </Select>
        )}
        <Action type="submit" tone="main" mt="10px">
          Set
        </Action>
      </Box>
    </Pop>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Line, Select } from '../../ui/controls';
import { useBuild } from '../context';
import { screensOf, text } from '../document';
import { at, type Json } from '../edit';
import { Pop } from '../Pop';
import type { ChipProps } from './ChipPicker';
import { caseId, gate, putGate, type WayRef } from './wiring';

const ends: [string, string][] = [
  ['grey', 'greyed, with the reason'],
  ['round', 'go round'],
  ['stay', 'stay and say so'],
];

const nones: [string, string][] = [
  ['grey', 'greyed, with the reason'],
  ['list', 'open a list instead'],
  ['add', 'offer to add one'],
  ['stay', 'stay and say so'],
];

/** What happens where there is no record: of a step at the end of its list, of a rule that finds none. */
export function NonePicker({ chunk, wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { edit, entities } = useBuild();
  const move = ['cases', chunk.case ?? caseId(wayRef), 'move'];
  const path = chunk.item ? bindPath(chunk, wayRef) : move;
  const now = gate(wayRef, ...path);
  const steps = !chunk.item || ['next', 'previous'].includes(text(now, 'rule'));
  const [none, setNone] = useState(text(now, 'none') || 'grey');
  const [reason, setReason] = useState(text(now, 'reason'));
  const lists = screensOf(entities).filter((s) => s.type === 'list');
  const [screen, setScreen] = useState(text(now, 'screen') || lists[0]?.id || '');
  const save = () => {
    onClose();
    const body: Record<string, Json> = { ...(now as Record<string, Json>) };
    delete body.reason;
    delete body.screen;
    body.none = none;
    if (reason.trim() && (none === 'grey' || none === 'stay')) body.reason = reason.trim();
    if (none === 'list') body.screen = screen;
    void edit(putGate(wayRef, path, body));
  };
  if (at(now, []) === undefined) return null;
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
          {chunk.item ? 'If there is no record' : 'At the end of the list'}
        </Box>
        {(steps ? ends : nones).map(([id, words]) => (
          <Flex as="label" key={id} gap="8px" py="3px" cursor="pointer">
            <input type="radio" name="none" checked={none === id} onChange={() => setNone(id)} />
            {words}
          </Flex>
        ))}
        {(none === 'grey' || none === 'stay') && (
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

/** Where the binding of a chip stands in the gate. */
export function bindPath(chunk: ChipProps['chunk'], w: WayRef): string[] {
  const move = ['cases', chunk.case || caseId(w), 'move'];
  return [...move, ...(chunk.among ? ['among', chunk.among] : []), 'bind', chunk.item ?? ''];
}

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Line } from '../../ui/controls';
import { useBuild } from '../context';
import { rolesOf, text } from '../document';
import { at } from '../edit';
import { Pop } from '../Pop';
import type { ChipProps } from './ChipPicker';
import { gate, putGate, type WayRef } from './wiring';

/** A few words to choose among. */
export function SimplePicker({
  label,
  choices,
  onSave,
  onClose,
}: ChipProps & { label: string; choices: [string, string][]; onSave: (v: string) => void }) {
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

/** For whom: everyone, or those with one of the chosen roles. */
export function RolesPicker({ wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { entities, edit } = useBuild();
  const roles = rolesOf(entities);
  const now = gate(wayRef, 'roles');
  const [chosen, setChosen] = useState<Set<string>>(
    () => new Set(roles.filter((r) => now === undefined || at(now, [r.id]) === true).map((r) => r.id)),
  );
  const all = chosen.size === roles.length;
  const save = () => {
    onClose();
    void edit(putGate(wayRef, ['roles'], all ? undefined : Object.fromEntries([...chosen].map((r) => [r, true]))));
  };
  return (
    <Pop label="For whom" onClose={onClose}>
      <Box p="12px" minW="240px">
        <Flex gap="8px" mb="8px">
          <Action onClick={() => setChosen(new Set(roles.map((r) => r.id)))}>everyone</Action>
          <Action onClick={() => setChosen(new Set())}>nobody</Action>
        </Flex>
        {roles.map((r) => (
          <Box as="label" key={r.id} display="flex" alignItems="center" gap="8px" py="3px" cursor="pointer">
            <input
              type="checkbox"
              checked={chosen.has(r.id)}
              onChange={(e) => {
                const next = new Set(chosen);
                if (e.target.checked) next.add(r.id);
                else next.delete(r.id);
                setChosen(next);
              }}
            />
            {r.name}
          </Box>
        ))}
        <Box fontSize="note" color="muted" my="8px" maxW="260px">
          For others it is hidden. That protects what it does, not the screen behind it: a guard does that.
        </Box>
        <Action tone="main" onClick={save}>
          Set roles
        </Action>
      </Box>
    </Pop>
  );
}

/** What shows while the condition fails. */
export function OtherwisePicker({ wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { edit } = useBuild();
  const now = text(gate(wayRef, 'otherwise', 'grey'));
  const [reason, setReason] = useState(now);
  const save = (grey: string | undefined) => {
    onClose();
    void edit(putGate(wayRef, ['otherwise'], grey ? { grey } : undefined));
  };
  return (
    <Pop label="Otherwise" onClose={onClose}>
      <Box
        as="form"
        p="12px"
        w="360px"
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          save(reason.trim());
        }}
      >
        <Action mb="10px" onClick={() => save(undefined)}>
          hide it
        </Action>
        <Box fontSize="note" color="muted" mb="3px">
          or show it greyed, with the reason
        </Box>
        <Line
          aria-label="Reason"
          autoFocus
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          placeholder="Closed ones are read only."
        />
        <Action type="submit" tone="main" mt="10px" disabled={!reason.trim()}>
          Grey it
        </Action>
      </Box>
    </Pop>
  );
}

/** One text, which may be taken away. */
export function WordsPicker({
  label,
  hint,
  field,
  value,
  none,
  onSave,
  onClose,
}: ChipProps & {
  label: string;
  hint?: string; // said above the field, where the label does not say enough
  field?: string;
  value: string;
  none?: string; // what taking it away is called; without it the text stays
  onSave: (v: string | undefined) => void;
}) {
  const [words, setWords] = useState(value);
  return (
    <Pop label={label} onClose={onClose}>
      <Box
        as="form"
        p="12px"
        w="380px"
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          onSave(words.trim() || undefined);
        }}
      >
        <Box fontSize="note" color="muted" mb="3px">
          {hint ?? label}
        </Box>
        <Line aria-label={field ?? label} autoFocus value={words} onChange={(e) => setWords(e.target.value)} />
        <Flex gap="8px" mt="10px">
          <Action type="submit" tone="main">
            Set
          </Action>
          {value && none && <Action onClick={() => onSave(undefined)}>{none}</Action>}
        </Flex>
      </Box>
    </Pop>
  );
}

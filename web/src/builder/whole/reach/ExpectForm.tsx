import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { ReachTable } from '../../../api/client';
import { newId } from '../../../document/edit';
import { entitiesOf } from '../../../document/parts';
import { Action, Line, Select } from '../../../ui/controls';
import { useWhole } from '../context';

const kinds: [id: string, words: string][] = [
  ['never', 'never gets there, by address neither'],
  ['noButton', 'is led there by no button'],
  ['within', 'gets there within … presses'],
  ['back', 'comes back to the start within … presses'],
  ['from', 'gets there only from one screen'],
];

interface FormProps {
  screen: string;
  table: ReachTable;
  who: string;
}

/** Says what is to hold of who gets to a screen; it is kept in the document, and proven after each edit. */
export function ExpectForm({ screen, table, who }: FormProps) {
  const { draft, edit } = useWhole();
  const [of, setOf] = useState<string>();
  const [what, setWhat] = useState('never');
  const [presses, setPresses] = useState('2');
  const [from, setFrom] = useState('');
  const n = Number(presses);
  const counted = what === 'within' || what === 'back';
  const right = counted ? Number.isInteger(n) && n >= 1 && n <= 99 : what !== 'from' || from !== '';
  const chosen = of ?? who;
  const add = () => {
    const pos = 1 + Math.max(0, ...entitiesOf(draft.entities, 'expectation').map((e) => e.pos));
    const roles = table.who.find((w) => w.key === chosen)?.roles;
    void edit([
      {
        op: 'add',
        path: `/${newId('x')}`,
        value: {
          kind: 'expectation',
          pos,
          screen,
          what,
          ...(roles && { roles: Object.fromEntries(roles.map((r) => [r, true])) }),
          ...(counted && { presses: n }),
          ...(what === 'from' && { from: { [from]: true } }),
        },
      },
    ]);
  };
  return (
    <Flex
      as="form"
      direction="column"
      gap="8px"
      align="flex-start"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        if (right) add();
      }}
    >
      <Flex gap="6px" wrap="wrap">
        <Select aria-label="Who" fontSize="note" value={chosen} onChange={(e) => setOf(e.target.value)}>
          {table.who.map((w) => (
            <option key={w.key} value={w.key}>
              {w.name}
            </option>
          ))}
          <option value="*">whoever</option>
        </Select>
        <Select aria-label="What is expected" fontSize="note" value={what} onChange={(e) => setWhat(e.target.value)}>
          {kinds.map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Select>
        {counted && (
          <Line
            aria-label="Presses"
            inputMode="numeric"
            w="56px"
            value={presses}
            aria-invalid={!right}
            onChange={(e) => setPresses(e.target.value)}
          />
        )}
        {what === 'from' && (
          <Select aria-label="From which screen" fontSize="note" value={from} onChange={(e) => setFrom(e.target.value)}>
            <option value="">which screen?</option>
            {table.lines
              .filter((l) => l.screen !== screen)
              .map((l) => (
                <option key={l.screen} value={l.screen}>
                  {l.title}
                </option>
              ))}
          </Select>
        )}
      </Flex>
      {counted && !right && (
        <Box fontSize="note" color="brick">
          Write a whole number from 1 to 99.
        </Box>
      )}
      <Action type="submit" disabled={!right}>
        Expect it
      </Action>
    </Flex>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { Action, Line } from '../../../ui/controls';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { makeOwn } from '../shared/makeOwn';
import { makeShared } from '../shared/makeShared';
import type { ChipProps } from './chip';
import { WordsPicker } from './words';

/** A shared gate: whom a change touches, its name, and a way out of sharing; or how to begin it. */
export function SharedPicker(p: ChipProps) {
  return p.way.shared ? <InUse {...p} shared={p.way.shared} /> : <Begin {...p} />;
}

interface InUseProps extends ChipProps {
  shared: NonNullable<ChipProps['way']['shared']>;
}

function InUse({ shared, wayRef, onClose }: InUseProps) {
  const { edit, entities, open } = useBuild();
  const [name, setName] = useState(shared.name);
  const [problem, setProblem] = useState<string>();
  const own = () => {
    const made = makeOwn(wayRef);
    if (made.problem) return setProblem(made.problem);
    onClose();
    void edit(made.ops);
  };
  return (
    <Pop label="Shared gate" onClose={onClose}>
      <Box p="12px" w="400px">
        <Flex
          as="form"
          gap="8px"
          onSubmit={(e: React.FormEvent) => {
            e.preventDefault();
            onClose();
            if (name.trim()) void edit(put(entities, [shared.id, 'name'], name.trim()));
          }}
        >
          <Line aria-label="Name" autoFocus value={name} onChange={(e) => setName(e.target.value)} />
          <Action type="submit">Rename</Action>
        </Flex>
        <Box fontWeight="700" mt="12px" mb="4px">
          Used by {shared.uses.length}: a change touches all of them
        </Box>
        <Box as="ul" listStyleType="none" maxH="150px" overflowY="auto">
          {shared.uses.map((u) => (
            <Box as="li" key={`${u.screen}.${u.element}.${u.words}`} py="2px">
              {!entityOf(entities, u.screen, 'screen') ? (
                u.words
              ) : (
                <Box
                  as="button"
                  color="pine"
                  textDecoration="underline"
                  cursor="pointer"
                  textAlign="left"
                  onClick={() => {
                    onClose();
                    open(u.screen ?? '', u.element);
                  }}
                >
                  {u.words}
                </Box>
              )}
            </Box>
          ))}
        </Box>
        {problem && (
          <Box color="brick" fontSize="note" mt="8px" role="alert">
            {problem}
          </Box>
        )}
        <Action mt="12px" onClick={own}>
          Make it this way’s own again
        </Action>
      </Box>
    </Pop>
  );
}

function Begin(p: ChipProps) {
  const { edit } = useBuild();
  return (
    <WordsPicker
      onClose={p.onClose}
      label="Share this gate"
      hint="Other buttons, rows and charts can use it then, each on its own record. What is it called?"
      field="Name"
      value={p.way.words}
      onSave={(name) => {
        p.onClose();
        if (name) void edit(makeShared(p.wayRef, name));
      }}
    />
  );
}

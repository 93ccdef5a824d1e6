import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Question } from '../../api/client';
import type { Answers } from '../../trail/asking';
import { Action } from '../../ui/controls';

interface ConflictProps {
  question: Question;
  onAnswer: (a: Answers) => void;
  onClose: () => void;
}

/** Both values side by side, field by field. */
export function Conflict({ question, onAnswer, onClose }: ConflictProps) {
  const fields = question.fields ?? [];
  const [keep, setKeep] = useState<Record<string, string>>(() =>
    Object.fromEntries(fields.map((f) => [f.field, 'mine'])),
  );
  return (
    <Box mt="12px">
      {fields.map((f) => (
        <Box key={f.field} as="fieldset" mb="12px">
          <Box as="legend" fontWeight="700" mb="4px">
            {f.label}
          </Box>
          <Flex gap="10px">
            {(['mine', 'theirs'] as const).map((side) => (
              <Box
                as="label"
                key={side}
                flex="1"
                p="8px 10px"
                borderWidth="1.5px"
                borderRadius="4px"
                borderColor={keep[f.field] === side ? 'pine' : 'rule'}
                bg={keep[f.field] === side ? 'pineSoft' : undefined}
                cursor="pointer"
              >
                <input
                  type="radio"
                  name={f.field}
                  checked={keep[f.field] === side}
                  onChange={() => setKeep({ ...keep, [f.field]: side })}
                />{' '}
                <Box as="span" fontSize="note" color="muted">
                  {side === 'mine' ? 'yours' : 'theirs'}
                </Box>
                <Box fontWeight="700">{f[side] || '–'}</Box>
              </Box>
            ))}
          </Flex>
        </Box>
      ))}
      <Flex gap="10px" mt="14px" mb="6px">
        <Action tone="main" onClick={() => onAnswer({ keep })}>
          Save like this
        </Action>
        <Action onClick={onClose}>Go on editing</Action>
      </Flex>
    </Box>
  );
}

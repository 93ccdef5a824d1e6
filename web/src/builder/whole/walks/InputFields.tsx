import { Box, Flex } from '@chakra-ui/react';
import type { Named, WalkStep } from '../../../document/document.gen';
import { inputsOf, screenOf } from '../../../document/screens';
import { Line, Select } from '../../../ui/controls';
import { useWhole } from '../context';
import { NamedField } from './NamedField';

interface InputProps {
  step: WalkStep;
  onChange: (more: Partial<WalkStep>) => void;
}

/** With what a screen is opened, or stood on: its inputs, and to do what. */
export function InputFields({ step, onChange }: InputProps) {
  const { draft } = useWhole();
  const screen = screenOf(draft.entities, step.screen);
  const put = (input: string, to: Named | undefined) => {
    const inputs = { ...step.inputs };
    if (to) inputs[input] = to;
    else delete inputs[input];
    onChange({ inputs: Object.keys(inputs).length > 0 ? inputs : undefined });
  };
  if (!screen) return null;
  return (
    <Flex direction="column" gap="6px">
      {inputsOf(screen).map((in_) => (
        <Flex key={in_.id} gap="8px" align="center">
          <Box w="110px" flexShrink={0} fontSize="note" color="muted">
            with {in_.label.toLowerCase()}
          </Box>
          {in_.table ? (
            <NamedField
              label={in_.label}
              table={in_.table}
              value={step.inputs?.[in_.id]}
              onNamed={(n) => put(in_.id, n)}
            />
          ) : (
            <Line
              fontSize="note"
              aria-label={in_.label}
              value={step.inputs?.[in_.id]?.key ?? ''}
              onChange={(e) => put(in_.id, e.target.value ? { key: e.target.value } : undefined)}
            />
          )}
        </Flex>
      ))}
      {screen.type === 'form' && (
        <Flex gap="8px" align="center">
          <Box w="110px" flexShrink={0} fontSize="note" color="muted">
            to
          </Box>
          <Select
            aria-label="To do what"
            fontSize="note"
            value={step.mode ?? ''}
            onChange={(e) => onChange({ mode: (e.target.value as WalkStep['mode']) || undefined })}
          >
            <option value="">view</option>
            <option value="edit">edit</option>
            <option value="add">add</option>
          </Select>
        </Flex>
      )}
    </Flex>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Action } from '../../ui/controls';
import { Pop } from '../Pop';

interface EffectFrameProps {
  label: string;
  width: string;
  problem: string | undefined;
  onSave: () => void;
  onClose: () => void;
  children: ReactNode;
}

/** The form around what is to be said of an action, with what is wrong with it. */
export function EffectFrame({ label, width, problem, onSave, onClose, children }: EffectFrameProps) {
  return (
    <Pop label={label} onClose={onClose}>
      <Box
        as="form"
        p="12px"
        w={width}
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          onSave();
        }}
      >
        <Flex align="center" gap="6px" wrap="wrap">
          {children}
          <Action type="submit" tone="main">
            Add
          </Action>
        </Flex>
        {problem && (
          <Box color="brick" fontSize="note" mt="8px" role="alert">
            {problem}
          </Box>
        )}
      </Box>
    </Pop>
  );
}

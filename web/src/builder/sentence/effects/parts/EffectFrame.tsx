import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Action } from '../../../../ui/controls';
import { Pop } from '../../../Pop';

/** What can be done with an action that is there already. */
export interface Standing {
  remove: () => void;
  sooner?: () => void; // before the one before it
  later?: () => void;
}

interface EffectFrameProps {
  label: string;
  width: string;
  problem: string | undefined;
  onSave: () => void;
  onClose: () => void;
  standing?: Standing;
  children: ReactNode;
}

/** The form around what is to be said of an action, with what is wrong with it. */
export function EffectFrame({ label, width, problem, onSave, onClose, standing, children }: EffectFrameProps) {
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
        </Flex>
        {problem && (
          <Box color="brick" fontSize="note" mt="8px" role="alert">
            {problem}
          </Box>
        )}
        <Flex mt="12px" gap="8px" align="center">
          <Action type="submit" tone="main">
            {standing ? 'Set' : 'Add'}
          </Action>
          {standing && <StandingActions standing={standing} />}
        </Flex>
      </Box>
    </Pop>
  );
}

export function StandingActions({ standing }: { standing: Standing }) {
  return (
    <>
      {standing.sooner && (
        <Action type="button" onClick={standing.sooner}>
          do it sooner
        </Action>
      )}
      {standing.later && (
        <Action type="button" onClick={standing.later}>
          do it later
        </Action>
      )}
      <Action type="button" tone="bad" aria-label="Remove this action" onClick={standing.remove}>
        remove
      </Action>
    </>
  );
}

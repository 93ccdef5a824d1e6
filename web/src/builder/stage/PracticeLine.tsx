import { Box, Flex } from '@chakra-ui/react';
import { Action } from '../../ui/controls';
import type { Practice } from './usePractice';

/** Says that nothing is saved, while something was practised. */
export function PracticeLine({ practice }: { practice: Practice }) {
  if (!practice.said && practice.count === 0) return null;
  return (
    <Flex
      role="status"
      align="center"
      gap="12px"
      fontSize="note"
      bg="amberSoft"
      color="amberText"
      fontWeight="600"
      px="12px"
      minH="34px"
      mt="6px"
      borderRadius="4px"
    >
      <Box flex="1">
        {practice.said}
        {practice.count > 0 &&
          ` ${practice.count} ${practice.count === 1 ? 'press' : 'presses'} practised; nothing is saved.`}
      </Box>
      {practice.count > 0 && (
        <Action minH="26px" onClick={practice.forget}>
          Start afresh
        </Action>
      )}
      {practice.said && practice.count === 0 && (
        <Action minH="26px" tone="quiet" aria-label="Dismiss" onClick={() => practice.setSaid(undefined)}>
          ×
        </Action>
      )}
    </Flex>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import type { ContextChip } from '../api/client';
import { useScreen } from './context';

/** What arrived and narrows the screen: nothing narrows it unseen, and what may be cleared can be. */
export function ContextChips() {
  const { view, onArrange } = useScreen();
  const chips = view.context ?? [];
  if (chips.length === 0) return null;
  const { find } = view;
  const filters = view.place.filters ?? [];
  const sort = view.place.sort ?? [];
  const clear = (c: ContextChip) =>
    c.input
      ? onArrange({ filters, sort, find, clear: [c.input] })
      : onArrange({ filters: filters.filter((f) => f.path !== c.path), sort, find });
  const all = chips.filter((c) => c.clear);
  return (
    <Flex gap="8px" wrap="wrap" align="center" aria-label="What narrows this screen" role="group">
      {chips.map((c) => (
        <Flex
          key={(c.input ?? '') + (c.path ?? '')}
          align="center"
          bg="plumSoft"
          color="plum"
          borderRadius="3px"
          fontSize="note"
          pl="8px"
          minH="28px"
        >
          <Box fontWeight="600">
            {c.label}: <b>{c.words}</b>
          </Box>
          {c.clear ? (
            <Box
              as="button"
              aria-label={`Clear ${c.label}`}
              px="8px"
              minH="28px"
              fontWeight="800"
              cursor="pointer"
              _hover={{ color: 'ink' }}
              onClick={() => clear(c)}
            >
              ×
            </Box>
          ) : (
            <Box pr="8px" />
          )}
        </Flex>
      ))}
      {all.length > 1 && (
        <Box
          as="button"
          fontSize="note"
          color="plum"
          textDecoration="underline"
          cursor="pointer"
          onClick={() => onArrange({ filters: [], sort, find, clear: all.flatMap((c) => (c.input ? [c.input] : [])) })}
        >
          show all
        </Box>
      )}
    </Flex>
  );
}

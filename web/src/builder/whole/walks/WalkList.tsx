import { Box, Flex } from '@chakra-ui/react';
import type { WalkResult, WalkTold } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { ListLine } from '../ListLine';
import { lineOf, type Standing, standingOf } from './walks';

const marks: Record<Standing, [mark: string, color: string, words: string]> = {
  kept: ['✓', 'pine', 'as expected'],
  differs: ['✕', 'brick', 'differs'],
  goes: ['…', 'muted', 'on its way'],
  waits: ['·', 'muted', 'not gone yet'],
};

interface ListProps {
  all: WalkTold[];
  chosen: string;
  results: Record<string, WalkResult>;
  going: string[];
  onOpen: (walk: string) => void;
  onGo: () => void; // all of them
}

/** All walks, and how each stands. */
export function WalkList({ all, chosen, results, going, onOpen, onGo }: ListProps) {
  const differ = all.filter((w) => results[w.id]?.differs).length;
  const gone = all.filter((w) => results[w.id]).length;
  return (
    <Flex direction="column" w="290px" flexShrink={0} borderRightWidth="1px" borderColor="rule" minH={0}>
      <Flex align="center" gap="8px" p="14px 14px 10px 22px">
        <Box flex="1" minW={0}>
          <Box as="h1" fontSize="head" fontWeight="800">
            Walks
          </Box>
          <Box fontSize="note" color="muted" aria-live="polite">
            {gone === 0 ? `${all.length} in all` : differ === 0 ? `${gone} as expected` : `${differ} of ${gone} differ`}
          </Box>
        </Box>
        <Action tone="main" disabled={going.length > 0} onClick={() => onGo()}>
          Go all
        </Action>
      </Flex>
      <Box as="nav" aria-label="Walks" overflowY="auto" flex="1" minH={0}>
        {all.map((w) => {
          const [mark, color, words] = marks[standingOf(results[w.id], going.includes(w.id))];
          const on = w.id === chosen;
          return (
            <ListLine
              key={w.id}
              on={on}
              mark={mark}
              color={color}
              marks={words}
              title={w.name}
              words={lineOf(w, results[w.id], going.includes(w.id))}
              onPress={() => onOpen(w.id)}
            />
          );
        })}
      </Box>
    </Flex>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface ListLineProps {
  on: boolean;
  mark: string;
  color: string;
  /** What the mark says, where the words beside it do not. */
  marks?: string;
  title: string;
  words: ReactNode;
  onPress: () => void;
}

/** A line of the list at the side: its mark, what it is, and how it stands. */
export function ListLine({ on, mark, color, marks, title, words, onPress }: ListLineProps) {
  const heard = marks ? { role: 'img', 'aria-label': marks } : { 'aria-hidden': true };
  return (
    <Flex
      as="button"
      w="full"
      textAlign="left"
      gap="10px"
      p="9px 12px 9px 19px"
      borderLeftWidth="3px"
      borderLeftColor={on ? 'amber' : 'transparent'}
      borderBottomWidth="1px"
      borderBottomColor="rule"
      bg={on ? 'amberSoft' : 'transparent'}
      cursor="pointer"
      aria-current={on}
      onClick={onPress}
    >
      <Box color={color} fontWeight="800" w="14px" flexShrink={0} textAlign="center" {...heard}>
        {mark}
      </Box>
      <Box minW={0}>
        <Box fontWeight="700" overflowWrap="anywhere">
          {title}
        </Box>
        <Box fontSize="note" color={on ? 'ink' : 'muted'}>
          {words}
        </Box>
      </Box>
    </Flex>
  );
}

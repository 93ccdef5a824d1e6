import { Box, Flex } from '@chakra-ui/react';

/** What a margin holds, and how many. */
export function MarginHead({ words, count }: { words: string; count: string }) {
  return (
    <Flex
      justify="space-between"
      fontSize="12px"
      fontWeight="700"
      letterSpacing="0.06em"
      color="muted"
      mb="8px"
      px="2px"
    >
      <Box as="h2" textTransform="uppercase">
        {words}
      </Box>
      <Box>{count}</Box>
    </Flex>
  );
}

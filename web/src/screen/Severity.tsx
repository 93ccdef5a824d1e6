import { Box, Flex } from '@chakra-ui/react';

/** A grade with a mark whose filling grows with the rank; the highest stands out. */
export function Severity({ words, choices }: { words: string; choices: string[] }) {
  const rank = choices.indexOf(words);
  if (rank < 0) return <>{words}</>;
  const top = choices.length - 1;
  const high = rank === top;
  return (
    <Flex
      as="span"
      display="inline-flex"
      align="center"
      gap="6px"
      color={high ? 'brick' : 'inherit'}
      fontWeight={high ? '700' : '400'}
    >
      <Box
        as="span"
        display="inline-flex"
        flexDirection="column"
        justifyContent="flex-end"
        w="9px"
        h="13px"
        borderWidth="1.5px"
        borderColor="currentColor"
        aria-hidden
      >
        <Box as="span" bg="currentColor" h={`${(rank / top) * 100}%`} />
      </Box>
      {words}
    </Flex>
  );
}

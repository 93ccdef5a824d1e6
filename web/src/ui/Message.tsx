import { Box, Flex, Heading, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Problem } from '../api/client';
import { Plate } from './Plate';

/** A page that says what happened and what to do, with a way on. */
export function Message({ problem, children }: { problem: Problem; children?: ReactNode }) {
  return (
    <Flex as="main" direction="column" align="flex-start" gap="14px" maxW="560px" m="12vh auto" px="24px">
      <Box w="44px" h="6px" bg="amber" />
      <Box role="alert">
        <Heading as="h1" fontSize="title" fontWeight="800" lineHeight="1.25">
          {problem.what}
        </Heading>
        {problem.then && (
          <Text color="muted" mt="14px">
            {problem.then}
          </Text>
        )}
      </Box>
      {children}
    </Flex>
  );
}

/** A plate that goes somewhere. */
export function WayOn({ words, glyph, onPress }: { words: string; glyph: string; onPress: () => void }) {
  return (
    <Box as="button" onClick={onPress} w="260px" cursor="pointer">
      <Plate glyph={glyph} title={words} />
    </Box>
  );
}

/** Shown while something is on its way; nothing for the first moment, so that quick answers do not flicker. */
export function Waiting({ what }: { what: string }) {
  return (
    <Text color="muted" p="24px" role="status" animation="fade-in 300ms 250ms both">
      {what}
    </Text>
  );
}

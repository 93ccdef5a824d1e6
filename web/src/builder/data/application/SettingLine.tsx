import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface LineProps {
  words: string;
  tall?: boolean;
  children: ReactNode;
}

/** One thing that an application is, in words, with what it is. */
export function SettingLine({ words, tall, children }: LineProps) {
  return (
    <Flex
      align={tall ? 'flex-start' : 'center'}
      gap="8px"
      minH="44px"
      borderTopWidth="1px"
      borderColor="rule"
      maxW="860px"
      py="5px"
      wrap="wrap"
    >
      <Box minW="250px" pt={tall ? '6px' : undefined}>
        {words}
      </Box>
      {children}
    </Flex>
  );
}

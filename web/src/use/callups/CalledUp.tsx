import { Box, Flex } from '@chakra-ui/react';
import { useQueryClient } from '@tanstack/react-query';
import type { CallUp } from '../../api/client';
import { written } from '../../ui/language';
import { see } from './callUps';

/** Says above the screen what brought one here, until it is seen. */
export function CalledUp({
  came,
  project,
  language,
  onSeen,
}: {
  came: CallUp;
  project: string;
  language: string;
  onSeen: () => void;
}) {
  const client = useQueryClient();
  const seen = async () => {
    onSeen();
    await see(project, came.occurrence);
    await client.invalidateQueries({ queryKey: ['callups', project] });
  };
  return (
    <Flex
      role="alert"
      align="center"
      gap="12px"
      px="20px"
      py="6px"
      bg="brick"
      color="white"
      _dark={{ color: 'paper' }}
      fontWeight="700"
    >
      <Box aria-hidden>▲</Box>
      <Box flex="1">
        {came.words}{' '}
        <Box as="span" fontWeight="500">
          since {written(language).clock(came.began)}
          {came.here ? '' : '. Back leads to where you were.'}
        </Box>
      </Box>
      <Box
        as="button"
        minH="36px"
        px="14px"
        borderWidth="1.5px"
        borderColor="currentColor"
        borderRadius="4px"
        cursor="pointer"
        onClick={() => void seen()}
      >
        Seen
      </Box>
    </Flex>
  );
}

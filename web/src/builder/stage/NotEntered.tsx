import { Box, Flex } from '@chakra-ui/react';
import type { AtWork } from '../../api/client';

/** Stands where the screen would, if the walked user could enter it: why not. */
export function NotEntered({ work }: { work: AtWork }) {
  const refused = work.refused;
  return (
    <Flex
      data-stage
      flex="1"
      direction="column"
      justify="center"
      align="center"
      textAlign="center"
      bg="plate"
      borderWidth="1px"
      borderColor="rule"
      borderRadius="6px"
      p="24px"
      gap="8px"
    >
      <Box fontSize="head" fontWeight="800" maxW="460px">
        {refused ? refused.what : `${work.user} has no record to stand on here.`}
      </Box>
      <Box color="muted" maxW="460px">
        {refused
          ? `Walk as ${work.entered} to see it. Its ways can be chosen in the margin all the same.`
          : `It needs: ${work.needs?.map((n) => n.label.toLowerCase()).join(', ') ?? 'a record'}.`}
      </Box>
    </Flex>
  );
}

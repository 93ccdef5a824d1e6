import { Box, Flex } from '@chakra-ui/react';
import type { Draft } from '../../api/client';
import { entityOf } from '../../document/parts';
import { titleOf, viewOf } from '../Header';
import { initials, type Present, whereWords } from './presence';

interface OthersProps {
  draft: Draft;
  others: Present[];
  onScreen: (screen: string) => void;
}

/** Who else builds here, and where: a press goes there. */
export function Others({ draft, others, onScreen }: OthersProps) {
  const few = 3;
  return (
    <Flex as="ul" listStyleType="none" m={0} p={0} aria-label="Who else is here" gap="3px" flexShrink={0}>
      {others.slice(0, few).map((p) => {
        const words = whereWords(
          p,
          (s) => entityOf(draft.entities, s, 'screen')?.title,
          p.view ? titleOf(viewOf(p.view)) : '',
        );
        return (
          <Box as="li" key={p.account}>
            <Box
              as="button"
              aria-label={words}
              title={words}
              w="28px"
              h="28px"
              borderRadius="14px"
              bg="amberSoft"
              borderWidth="2px"
              borderColor="amber"
              fontSize="12px"
              fontWeight="800"
              cursor="pointer"
              onClick={() => p.screen && onScreen(p.screen)}
            >
              {initials(p.name)}
            </Box>
          </Box>
        );
      })}
      {others.length > few && (
        <Box
          as="li"
          fontSize="note"
          alignSelf="center"
          title={others
            .slice(few)
            .map((p) => p.name)
            .join(', ')}
        >
          +{others.length - few}
        </Box>
      )}
    </Flex>
  );
}

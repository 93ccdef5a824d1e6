import { Box } from '@chakra-ui/react';
import type { ChangeTold } from '../../../api/client';
import { useWhole } from '../context';

/** One difference: what of which thing, what it was and what it is. A place that is still there is opened by it. */
export function ChangeLine({ change: c }: { change: ChangeTold }) {
  const { openScreen } = useWhole();
  const { screen } = c;
  const short = (c.was ?? '').length + (c.now ?? '').length < 80;
  const values = (
    <>
      {c.was && (
        <Box as={short ? 'span' : 'div'} color="muted">
          <Was />
          <Box as="del" textDecorationColor="var(--chakra-colors-rule)">
            {c.was}
          </Box>
        </Box>
      )}
      {short && c.was && c.now && ' → '}
      {c.now && (
        <Box as={short ? 'span' : 'div'}>
          <Box as="ins" textDecoration="none">
            {c.now}
          </Box>
        </Box>
      )}
      {c.how === 'changed' && c.was && !c.now && <Box as="span"> → none</Box>}
    </>
  );
  return (
    <Box as="li" py="4px" pl="22px" position="relative">
      <Box position="absolute" left="4px" fontWeight="800" color={colors[c.how]} aria-hidden="true">
        {marks[c.how]}
      </Box>
      {screen ? (
        <Box
          as="button"
          textAlign="left"
          cursor="pointer"
          fontWeight="600"
          _hover={{ textDecoration: 'underline' }}
          title="Show it on the screen"
          onClick={() => openScreen(screen, c.element)}
        >
          {c.head}
        </Box>
      ) : (
        <Box as="span" fontWeight="600">
          {c.head}
        </Box>
      )}
      <Box fontSize="note">{values}</Box>
    </Box>
  );
}

const marks = { made: '+', gone: '−', changed: '~' };
const colors = { made: 'pine', gone: 'brick', changed: 'amberText' };

/** For who does not see that it is struck out. */
function Was() {
  return (
    <Box as="span" srOnly>
      was{' '}
    </Box>
  );
}

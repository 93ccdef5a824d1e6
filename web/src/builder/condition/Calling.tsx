import { Box } from '@chakra-ui/react';
import type { Signature } from '../../api/client';

/** How the function is written whose brackets the cursor is in. */
export function Calling({ of }: { of: Signature }) {
  return (
    <Box fontSize="note" mt="4px" aria-live="polite">
      <Box as="span" fontFamily="mono">
        {of.name}(
        {of.takes.map((t, i) => (
          <Box as="span" key={t} fontWeight={i === of.active ? '700' : '400'}>
            {i > 0 && ', '}
            {t}
          </Box>
        ))}
        )
      </Box>{' '}
      <Box as="span" color="muted">
        {of.words}
      </Box>
    </Box>
  );
}

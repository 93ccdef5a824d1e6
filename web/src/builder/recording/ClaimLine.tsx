import { Box, Flex } from '@chakra-ui/react';
import type { View } from '../../api/client';
import { Action } from '../../ui/controls';
import { claimsOf, headingClaim } from './claims';
import type { Recorder } from './useRecorder';

interface ClaimProps {
  recorder: Recorder;
  view: View | undefined;
  chosen: string | undefined;
}

/** While a walk is recorded: what of the chosen element, or of the screen, is to be so when it is gone again. */
export function ClaimLine({ recorder, view, chosen }: ClaimProps) {
  if (!recorder.recording || !view) return null;
  const claims = [...claimsOf(view, chosen), headingClaim(view)];
  return (
    <Flex role="group" aria-label="To be claimed" gap="6px" align="center" wrap="wrap" pb="6px" fontSize="note">
      <Box color="muted">Claim that</Box>
      {claims.map((c) => (
        <Action key={c.words} minH="26px" maxW="340px" onClick={() => recorder.claim(c.step)}>
          <Box truncate>{c.words}</Box>
        </Action>
      ))}
    </Flex>
  );
}

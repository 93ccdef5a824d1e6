import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Line } from '../../ui/controls';

/** A link for somebody, told once, to be given to them. */
export function LinkTold({ name, link }: { name: string; link: string }) {
  const [copied, setCopied] = useState(false);
  const copy = () =>
    navigator.clipboard.writeText(link).then(
      () => setCopied(true),
      () => setCopied(false), // the browser does not let us: it can be marked and copied by hand
    );
  return (
    <Box my="8px">
      <Box fontSize="note" color="muted" mb="3px">
        {name} sets a password by this link, once, within seven days:
      </Box>
      <Flex gap="8px">
        <Line
          aria-label={`Link for ${name}`}
          readOnly
          value={link}
          fontFamily="mono"
          onFocus={(e) => e.target.select()}
        />
        <Action onClick={() => void copy()} aria-label={`Copy the link for ${name}`}>
          {copied ? 'Copied' : 'Copy'}
        </Action>
      </Flex>
    </Box>
  );
}

import { Box } from '@chakra-ui/react';
import type { Finding, Mend } from '../../api/client';
import { useBuild } from '../context';

/** What a check proved, where it is, with its mends. */
export function FindingNote({ finding }: { finding: Finding }) {
  const { edit, choose, setPicker, open, screen, work } = useBuild();
  const mend = async (m: Mend) => {
    if (m.patch) return edit(m.patch);
    const here = finding.screen === screen || work.ways.some((w) => w.element === finding.element);
    if (!here) open(finding.screen, finding.element);
    else choose(finding.element);
    if (m.chip) setPicker(m.chip);
  };
  return (
    <Box
      fontSize="note"
      lineHeight="1.35"
      px="4px"
      pt="4px"
      pb="2px"
      color={finding.severity === 'broken' ? 'brick' : 'amberText'}
      role="note"
    >
      <b>
        <span aria-hidden="true">{finding.severity === 'broken' ? '✕ ' : '? '}</span>
        {finding.words}
      </b>{' '}
      {finding.mends?.map((m) => (
        <Box
          as="button"
          key={m.words}
          onClick={() => void mend(m)}
          color="ink"
          fontWeight="700"
          textDecoration="underline"
          mr="8px"
          cursor="pointer"
        >
          {m.words}
        </Box>
      ))}
    </Box>
  );
}

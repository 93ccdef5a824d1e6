import { Box } from '@chakra-ui/react';
import { memo } from 'react';
import type { Refused, Shown } from '../api/client';
import { wordsOfProblem } from '../trail/Press';
import { useSince } from './useSince';

interface BannersProps {
  shown: Shown;
  away: Refused | undefined; // nobody answers
  lost: boolean; // nothing live comes in any more
  left: number | undefined; // seconds until one is back at the start
}

/** What stands above a screen while something is not as it should be; the screen stays as it was. */
export const Banners = memo(function Banners({ shown, away, lost, left }: BannersProps) {
  const held = away?.problem.code === 'held'; // somebody answers, who waits for somebody else
  const since = useSince((away !== undefined && !held) || lost);
  const why = held
    ? `${away.problem.what} Nothing is lost. It is tried again by itself.`
    : away && wordsOfProblem(away.problem);
  const told = [why, since && `No connection since ${since}.`].filter(Boolean);
  return (
    <>
      {left !== undefined && (
        <Banner calm words={`Back to the start in ${left} s, as nobody is here. Touch anything to stay.`} />
      )}
      {told.length > 0 && <Banner words={told.join(' ')} calm={held && !lost} />}
      {shown.passed && <Banner words={`Skipped ${shown.passed}: gone, or not open to you.`} calm />}
    </>
  );
});

function Banner({ words, calm }: { words: string; calm?: boolean }) {
  return (
    <Box
      role="status"
      px="20px"
      py="8px"
      bg={calm ? 'amberSoft' : 'brickSoft'}
      color={calm ? 'amberText' : 'brick'}
      fontWeight="600"
    >
      {words}
    </Box>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Readiness, ReleaseStop } from '../../../api/client';
import { Action, Line } from '../../../ui/controls';
import { useWhole } from '../context';

interface StopsProps {
  ready: Readiness;
  because: Record<string, string>;
  onBecause: (because: Record<string, string>) => void;
}

/** What the checks, expectations and walks say of the draft: what is broken stops it until a reason is given. */
export function Stops({ ready, because, onBecause }: StopsProps) {
  const { stops } = ready;
  return (
    <Box as="section" aria-label="Before it is released">
      <Box fontSize="note" color={stops.length === 0 ? 'pine' : 'brick'} fontWeight="700" aria-live="polite">
        {stops.length === 0
          ? 'Nothing stands in its way'
          : `${stops.length} ${stops.length === 1 ? 'thing stops' : 'things stop'} it`}
      </Box>
      <Box fontSize="note" color="muted">
        {counted(ready)}
      </Box>
      {stops.length > 2 && (
        <ForAll onBecause={(words) => onBecause(Object.fromEntries(stops.map((s) => [s.key, words])))} />
      )}
      {stops.map((s) => (
        <Stop
          key={s.key}
          stop={s}
          because={because[s.key] ?? ''}
          onBecause={(words) => onBecause({ ...because, [s.key]: words })}
        />
      ))}
    </Box>
  );
}

function counted(r: Readiness): string {
  const of = (n: number, one: string, more: string) => `${n} ${n === 1 ? one : more}`;
  return [
    of(r.walks, 'walk as expected', 'walks as expected'),
    of(r.expected, 'expectation kept', 'expectations kept'),
    of(r.doubtful, 'doubtful finding', 'doubtful findings'),
  ].join(', ');
}

/** One reason for all of them. */
function ForAll({ onBecause }: { onBecause: (because: string) => void }) {
  const [words, setWords] = useState('');
  return (
    <Flex gap="6px" mt="8px">
      <Line
        fontSize="note"
        minH="30px"
        aria-label="One reason for all of them"
        placeholder="one reason for all of them"
        value={words}
        maxLength={500}
        onChange={(e) => setWords(e.target.value)}
      />
      <Action minH="30px" flexShrink={0} disabled={!words.trim()} onClick={() => onBecause(words.trim())}>
        For all
      </Action>
    </Flex>
  );
}

interface StopProps {
  stop: ReleaseStop;
  because: string;
  onBecause: (because: string) => void;
}

function Stop({ stop: s, because, onBecause }: StopProps) {
  const { openScreen, openWalk, openReach } = useWhole();
  const show = () => {
    if (s.walk) openWalk(s.walk);
    else if (s.what === 'expectation' && s.screen) openReach(s.screen);
    else if (s.screen) openScreen(s.screen, s.element);
  };
  return (
    <Box mt="10px" pt="8px" borderTopWidth="1px" borderColor="rule">
      <Box fontWeight="600">{s.words}</Box>
      {s.evidence && (
        <Box fontSize="note" color="muted">
          {s.evidence}
        </Box>
      )}
      <Flex gap="6px" mt="4px" align="center">
        <Line
          fontSize="note"
          minH="30px"
          aria-label={`Released all the same because, of: ${s.words}`}
          placeholder="all the same, because …"
          value={because}
          maxLength={500}
          onChange={(e) => onBecause(e.target.value)}
        />
        {(s.walk || s.screen) && (
          <Action minH="30px" flexShrink={0} onClick={show}>
            Show
          </Action>
        )}
      </Flex>
    </Box>
  );
}

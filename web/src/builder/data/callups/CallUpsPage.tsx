import { Box } from '@chakra-ui/react';
import { entitiesOf } from '../../../document/parts';
import { useRights } from '../context';
import { ViewHead } from '../ViewHead';
import { CallUpCard } from './CallUpCard';
import { NewCallUp } from './NewCallUp';

/** Screens that the plant calls up: when, which, for whom, and from where. */
export function CallUpsPage() {
  const { entities } = useRights();
  const all = entitiesOf(entities, 'callUp').sort((a, b) => (a.pos ?? 0) - (b.pos ?? 0));
  return (
    <>
      <ViewHead title="Call-ups">
        While something holds in the plant, a screen comes to the front by itself. Back leads to where one was.
      </ViewHead>
      <Box overflowY="auto" flex="1" minH={0}>
        {all.length === 0 && <Box color="muted">There is none yet.</Box>}
        {all.map((c) => (
          <CallUpCard key={c.id} callUp={c} />
        ))}
        <NewCallUp pos={all.length + 1} />
      </Box>
    </>
  );
}

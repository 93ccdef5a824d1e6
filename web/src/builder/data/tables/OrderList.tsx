import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, Refused, type TableOrder } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { useRights } from '../context';

const few = 10_000; // records that are put in any order quickly enough

/** The orders that records of a table are read in: which index serves each, or would. */
export function OrderList({ table }: { table: string }) {
  const { project, draft } = useRights();
  const found = useQuery({
    queryKey: ['orders', project, table, draft.seq],
    queryFn: () => ask(api.GET('/api/build/{project}/orders/{table}', { params: { path: { project, table } } })),
  });
  if (found.error)
    return <Note>{found.error instanceof Refused ? found.error.problem.what : 'It cannot be told now.'}</Note>;
  if (!found.data) return <Note>Asking the database …</Note>;
  const { rows, orders } = found.data;
  return (
    <Box fontSize="note">
      <Note>
        {rows === 0 ? 'Few records' : `About ${rows.toLocaleString('en')} records`}
        {rows < few ? ': any order is quick.' : ': only an order that an index serves is quick from any place in it.'}
      </Note>
      {orders.map((o) => (
        <Order key={`${o.of ?? ''}.${o.words}`} order={o} matters={rows >= few} />
      ))}
    </Box>
  );
}

function Order({ order: o, matters }: { order: TableOrder; matters: boolean }) {
  const none = !o.index && !o.would;
  return (
    <Flex gap="2px 10px" align="baseline" wrap="wrap" py="5px" borderBottomWidth="1px" borderColor="rule">
      <Box flex="1" minW="220px">
        {o.of && (
          <>
            of one <b>{o.of}</b>, by{' '}
          </>
        )}
        <b>{o.words}</b>
        <Box color="muted">{o.places.join(', ')}</Box>
      </Box>
      {o.index && (
        <Box color="pine" fontWeight="700">
          ✓ {o.index}
        </Box>
      )}
      {!o.index && (
        <Box color={matters ? 'amberText' : 'muted'} fontWeight={matters ? '700' : undefined}>
          {none ? 'no index can: it goes by other records' : matters ? '? no index serves it' : 'no index'}
        </Box>
      )}
      {o.would && <Statement text={o.would} open={matters} />}
    </Flex>
  );
}

/** The statement for whoever looks after the database. */
function Statement({ text, open }: { text: string; open: boolean }) {
  const [shown, setShown] = useState(open);
  const [done, setDone] = useState(false);
  if (!shown) {
    return (
      <Action tone="quiet" minH="26px" onClick={() => setShown(true)}>
        show the index to add
      </Action>
    );
  }
  return (
    <Flex w="full" gap="8px" align="baseline">
      <Box as="code" flex="1" minW={0} fontFamily="mono" color="muted" overflowWrap="anywhere">
        {text}
      </Box>
      <Action
        tone="quiet"
        minH="26px"
        aria-label={`Copy ${text}`}
        onClick={() => void navigator.clipboard.writeText(text).then(() => setDone(true))}
      >
        {done ? 'copied' : 'copy'}
      </Action>
    </Flex>
  );
}

function Note({ children }: { children: React.ReactNode }) {
  return (
    <Box color="muted" fontSize="note" mb="4px">
      {children}
    </Box>
  );
}

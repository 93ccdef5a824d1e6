import { Box } from '@chakra-ui/react';
import { useInfiniteQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Refused } from '../../api/client';
import { Action } from '../../ui/controls';
import { Message, Waiting, WayOn } from '../../ui/Message';
import { ViewHead } from './ViewHead';

const page = 100; // entries that the server tells at once

interface LogProps<E> {
  name: string;
  title: string;
  about: string;
  none: string; // said while there is no entry
  read: (before: number | undefined) => Promise<E[]>;
  children: (entries: E[]) => ReactNode;
}

/** A log, newest first, page by page. */
export function LogFrame<E extends { id: number }>({ name, title, about, none, read, children }: LogProps<E>) {
  const log = useInfiniteQuery({
    queryKey: [name],
    queryFn: ({ pageParam }) => read(pageParam),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (last) => (last.length < page ? undefined : last.at(-1)?.id),
    staleTime: 0,
  });
  if (log.error instanceof Refused) {
    return (
      <Message problem={log.error.problem}>
        <WayOn words="Try again" glyph="forward" onPress={() => void log.refetch()} />
      </Message>
    );
  }
  if (!log.data) return <Waiting what="Reading the log …" />;
  const entries = log.data.pages.flat();
  return (
    <>
      <ViewHead title={title}>{about}</ViewHead>
      {entries.length === 0 && <Box color="muted">{none}</Box>}
      {entries.length > 0 && children(entries)}
      {log.hasNextPage && (
        <Box mt="12px">
          <Action onClick={() => void log.fetchNextPage()}>show older ones</Action>
        </Box>
      )}
    </>
  );
}

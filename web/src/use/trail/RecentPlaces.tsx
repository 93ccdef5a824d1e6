import { Box, Menu, Portal } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Shown } from '../../api/client';
import { MenuWords } from '../../ui/MenuWords';

interface RecentProps {
  shown: Shown;
  project: string;
  onGo: (n: number) => void;
}

const most = 15; // places shown; the browser's own list has the rest

/** The places one has been at, in words, newest first: to go to one of them at once. */
export function RecentPlaces({ shown, project, onGo }: RecentProps) {
  const [open, setOpen] = useState(false);
  const places = useQuery({
    queryKey: ['places', project, shown.trail, shown.n],
    queryFn: () =>
      ask(api.GET('/api/use/{project}/places', { params: { path: { project }, query: { trail: shown.trail } } })),
    enabled: open,
    staleTime: 0,
  });
  const newest = [...(places.data ?? [])].reverse().slice(0, most);
  return (
    <Menu.Root open={open} onOpenChange={(d) => setOpen(d.open)} onSelect={(d) => onGo(Number(d.value))}>
      <Menu.Trigger asChild>
        <Box
          as="button"
          aria-label="Places you have been at"
          color="white"
          minH="44px"
          minW="34px"
          cursor="pointer"
          _hover={{ bg: 'onRail.pointed' }}
        >
          ▾
        </Box>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content minW="280px">
            {places.isPending && <MenuWords>Looking …</MenuWords>}
            {places.isError && <MenuWords>They cannot be read now: try again in a moment.</MenuWords>}
            {newest.map((p) => (
              <Menu.Item key={p.n} value={String(p.n)} disabled={p.here} fontSize="text">
                <Box flex="1">
                  <Box fontWeight={p.here ? '800' : '600'}>{p.title}</Box>
                  {p.note && (
                    <Box fontSize="note" color="muted">
                      {p.note}
                    </Box>
                  )}
                </Box>
                <Box fontSize="note" color="muted">
                  {p.here ? 'here' : timeOf(p.at)}
                </Box>
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}

function timeOf(at: string) {
  return new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

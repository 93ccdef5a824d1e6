import { Box, Menu, Portal } from '@chakra-ui/react';
import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { CallUpListed } from '../../api/client';
import { written } from '../../ui/language';
import { MenuWords } from '../../ui/MenuWords';
import { see, unseen, useListed } from './callUps';

/** What the plant called up: how much of it holds now, and where each leads. */
export function CallUpList({ project, language }: { project: string; language: string }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const all = useListed(project, true).data ?? [];
  const fresh = unseen(all).length;
  const open = async (id: string) => {
    const one = all.find((o) => String(o.occurrence) === id);
    if (!one) return;
    await see(project, one.occurrence);
    void client.invalidateQueries({ queryKey: ['callups', project] });
    void navigate(`/use/${project}${one.address}`);
  };
  return (
    <Menu.Root onSelect={(d) => void open(d.value)}>
      <Menu.Trigger asChild>
        <Box
          as="button"
          aria-label={fresh > 0 ? `Called up: ${fresh} not seen yet` : 'Called up: nothing new'}
          minH="44px"
          minW="44px"
          px="10px"
          cursor="pointer"
          color="white"
          fontWeight="700"
          bg={fresh > 0 ? 'brick' : 'transparent'}
          _dark={{ color: fresh > 0 ? 'paper' : 'white' }}
          _hover={{ bg: fresh > 0 ? 'brick' : 'onRail.pointed' }}
        >
          ▲{fresh > 0 && ` ${fresh}`}
        </Box>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content minW="320px" maxH="70vh" overflowY="auto">
            {all.length === 0 && <MenuWords>Nothing was called up yet.</MenuWords>}
            {all.map((o) => (
              <Menu.Item key={o.occurrence} value={String(o.occurrence)} fontSize="text">
                <Box flex="1">
                  <Box fontWeight={o.ended ? '500' : '800'}>
                    {!o.ended && (
                      <Box as="span" color="brick" aria-hidden>
                        ▲{' '}
                      </Box>
                    )}
                    {o.words}
                  </Box>
                  <Box fontSize="note" color="muted">
                    {o.screen} · {whenOf(o, language)}
                    {o.seen ? ' · seen' : ''}
                  </Box>
                </Box>
              </Menu.Item>
            ))}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}

function whenOf(o: CallUpListed, language: string): string {
  const { clock, day } = written(language);
  const date = new Date(o.began);
  const today = date.toDateString() === new Date().toDateString();
  const from = `${today ? '' : `${day(date, { day: 'numeric', month: 'short' })}, `}${clock(o.began)}`;
  return o.ended ? `${from} to ${clock(o.ended)}` : `since ${from}`;
}

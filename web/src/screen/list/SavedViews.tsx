import { Box, Flex, Popover, Portal } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type ElementView, type ListChoice, type ListView, Refused } from '../../api/client';
import { wordsOfProblem } from '../../trail/Press';
import { Action, Line } from '../../ui/controls';
import { useScreen } from '../context';

/** The user's own kept lists: what narrows and orders it, under a name. */
export function SavedViews({ element, list }: { element: ElementView; list: ListView }) {
  const { view, work, onArrange } = useScreen();
  const queries = useQueryClient();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const key = ['list-views', view.screen, element.id];
  const views = useQuery({ queryKey: key, queryFn: () => work?.views(element.id), enabled: !!work });
  const again = () => queries.invalidateQueries({ queryKey: key });
  const keep = useMutation({
    mutationFn: async () => {
      const { filters, sort, find } = view.place;
      await work?.keepView(element.id, { name: name.trim(), filters, sort: sort ?? list.sort, find });
    },
    onSuccess: () => {
      setName('');
      return again();
    },
  });
  const drop = useMutation({ mutationFn: async (old: string) => work?.dropView(element.id, old), onSuccess: again });
  const named = (views.data ?? []).filter((v) => v.name !== '');
  const show = (v: ListChoice) => {
    setOpen(false);
    onArrange({ filters: v.filters ?? [], sort: v.sort ?? [], find: v.find });
  };
  return (
    <Popover.Root open={open} onOpenChange={(d) => setOpen(d.open)} positioning={{ placement: 'bottom-end' }}>
      <Popover.Trigger asChild>
        <Action tone="quiet" aria-haspopup="dialog">
          kept lists{named.length > 0 && ` (${named.length})`} ▾
        </Action>
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content w="280px" aria-label="Your kept lists">
            <Box p="12px">
              {named.length === 0 && (
                <Box color="muted" fontSize="note" mb="8px">
                  Narrow and order the list as you like it, then keep that under a name.
                </Box>
              )}
              <Box as="ul" listStyleType="none" mb="8px">
                {named.map((v) => (
                  <Flex as="li" key={v.name} align="center">
                    <Box
                      as="button"
                      flex="1"
                      textAlign="left"
                      py="6px"
                      fontWeight="600"
                      cursor="pointer"
                      _hover={{ textDecoration: 'underline' }}
                      onClick={() => show(v)}
                    >
                      {v.name}
                    </Box>
                    <Action
                      tone="quiet"
                      minH="26px"
                      aria-label={`Remove ${v.name}`}
                      onClick={() => drop.mutate(v.name)}
                    >
                      ×
                    </Action>
                  </Flex>
                ))}
              </Box>
              <Flex
                as="form"
                gap="8px"
                onSubmit={(e: React.FormEvent) => {
                  e.preventDefault();
                  if (name.trim() !== '') keep.mutate();
                }}
              >
                <Line
                  aria-label="Name of the kept list"
                  placeholder="Name"
                  value={name}
                  maxLength={60}
                  onChange={(e) => setName(e.target.value)}
                />
                <Action type="submit" tone="main" disabled={name.trim() === '' || keep.isPending}>
                  Keep
                </Action>
              </Flex>
              {keep.error instanceof Refused && (
                <Box color="brick" fontSize="note" mt="6px" role="alert">
                  {wordsOfProblem(keep.error.problem)}
                </Box>
              )}
            </Box>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}

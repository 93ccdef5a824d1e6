import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { Position } from '../api/client';
import { Glyph } from '../ui/Glyph';
import { useLanguage, useScreen, useView } from './context';

/** Where the record stands in the list that one came from, between its neighbours. */
export function PositionLine() {
  const { view, work } = useScreen();
  const { count } = useLanguage();
  const { from } = view.place;
  const position = useQuery({
    queryKey: ['position', view.screen, view.record?.key, view.record?.version, from],
    queryFn: () => work?.position(),
    enabled: !!work && !!view.tells,
    placeholderData: (before) => before,
    staleTime: 0,
  });
  if (!view.tells) return null;
  return (
    <Flex
      align="center"
      gap="4px 12px"
      wrap="wrap"
      fontSize="note"
      color="muted"
      role="group"
      aria-label="Place in the list"
    >
      <Neighbour title={view.steps?.previous} by={view.steps?.previousBy} glyph="back" />
      {work && (
        <Box color="plum" fontWeight="700" aria-live="polite">
          {position.data ? wordsOf(position.data, count) : '…'}
        </Box>
      )}
      <Neighbour title={view.steps?.next} by={view.steps?.nextBy} glyph="forward" />
    </Flex>
  );
}

function wordsOf(p: Position, count: (n: number) => string): string {
  if (p.slow) return `in ${p.list}; its place there takes too long to count`;
  if (p.gone) return `no longer in ${p.list}`;
  const of = p.more ? `more than ${count(p.of)}` : count(p.of);
  return p.past ? `beyond the first ${count(p.at - 1)} of ${of} in ${p.list}` : `${count(p.at)} of ${of} in ${p.list}`;
}

/** A neighbour by its title; it leads there where the screen has a button that does. */
function Neighbour({ title, by, glyph }: { title?: string; by?: string; glyph: string }) {
  const { onPress } = useScreen();
  const view = useView();
  const element = view.elements.find((e) => e.id === by);
  if (!title) return null;
  const inside = (
    <Flex as="span" align="center" gap="4px" direction={glyph === 'back' ? 'row' : 'row-reverse'}>
      <Glyph name={glyph} size={13} />
      {title}
    </Flex>
  );
  if (!element) return inside;
  return (
    <Box
      as="button"
      cursor="pointer"
      minH="26px"
      _hover={{ color: 'ink', textDecoration: 'underline' }}
      aria-label={`${glyph === 'back' ? 'Previous' : 'Next'}: ${title}`}
      onClick={() => void onPress(element)}
    >
      {inside}
    </Box>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import type { ScreenDoc } from '../../document/screens';
import { Glyph } from '../../ui/Glyph';

interface LineProps {
  screen: ScreenDoc;
  ways: { in: number; out: number } | undefined;
  findings: number;
  here: boolean;
  marked: boolean; // what is dragged would come before it
  onOpen: () => void;
  onMove: (by: -1 | 1) => void;
}

/** One screen in the list of all: opened, dragged, or moved by Alt and arrows. */
export function ScreenLine({ screen: s, ways, findings, here, marked, onOpen, onMove }: LineProps) {
  const counts = `${ways?.in ?? 0} ways in, ${ways?.out ?? 0} out`;
  return (
    <Flex
      as="button"
      w="full"
      textAlign="left"
      align="center"
      gap="8px"
      px="8px"
      minH="32px"
      borderRadius="4px"
      cursor="pointer"
      bg={here ? 'amberSoft' : undefined}
      fontWeight={here ? '700' : '500'}
      aria-current={here ? 'page' : undefined}
      _hover={{ bg: here ? 'amberSoft' : 'faint' }}
      borderTopWidth="2px"
      borderColor={marked ? 'amber' : 'transparent'}
      data-screen={s.id}
      draggable
      onKeyDown={(e: React.KeyboardEvent) => {
        if (!e.altKey || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return;
        e.preventDefault();
        onMove(e.key === 'ArrowUp' ? -1 : 1);
      }}
      onDragStart={(e: React.DragEvent) => e.dataTransfer.setData('text/plain', s.id)}
      onClick={onOpen}
    >
      <Glyph name={s.type} size={16} />
      <Box flex="1" minW="0" truncate>
        {s.title}
      </Box>
      {findings > 0 && (
        <Box as="span" color="amberText" fontSize="note" fontWeight="700">
          {findings} <Hidden>{findings === 1 ? 'finding' : 'findings'}</Hidden>!
        </Box>
      )}
      <Box as="span" color="muted" fontSize="note" title={counts} fontVariantNumeric="tabular-nums">
        <span aria-hidden>
          {ways?.in ?? 0} › {ways?.out ?? 0}
        </span>
        <Hidden>{counts}</Hidden>
      </Box>
    </Flex>
  );
}

/** For who hears the page. */
function Hidden({ children }: { children: React.ReactNode }) {
  return (
    <Box as="span" srOnly>
      {children}
    </Box>
  );
}

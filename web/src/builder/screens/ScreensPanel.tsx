import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Draft, Op } from '../../api/client';
import { put } from '../../document/edit';
import { waysBetween } from '../../document/leads';
import { type ScreenDoc, screensOf } from '../../document/screens';
import { Action, Line } from '../../ui/controls';
import { Glyph } from '../../ui/Glyph';

interface PanelProps {
  draft: Draft;
  here: string; // the screen that is open
  edit: (patch: Op[]) => Promise<unknown>;
  onOpen: (screen: string) => void;
  onMake: () => void;
  onClose: () => void;
}

/** All screens by area, with their ways and findings; dragged to another area, found by any word, made anew. */
export function ScreensPanel({ draft, here, edit, onOpen, onMake, onClose }: PanelProps) {
  const { entities, findings } = draft;
  const [find, setFind] = useState('');
  const [over, setOver] = useState<string>();
  const ways = waysBetween(entities);
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = screensOf(entities).filter((s) =>
    words.every((w) => `${s.title} ${s.area ?? ''} ${s.type} ${s.slug}`.toLowerCase().includes(w)),
  );
  const areas = [...new Set(shown.map((s) => s.area ?? ''))];
  const moveTo = (screen: string, area: string) => void edit(put(entities, [screen, 'area'], area || undefined));
  return (
    <Flex
      as="aside"
      aria-label="Screens"
      direction="column"
      w="300px"
      flexShrink={0}
      bg="plate"
      borderRightWidth="1px"
      borderColor="rule"
      onKeyDown={(e: React.KeyboardEvent) => e.key === 'Escape' && onClose()}
    >
      <Flex gap="8px" p="10px 12px" align="center">
        <Line
          autoFocus
          type="search"
          aria-label="Find among the screens"
          placeholder="Find a screen"
          value={find}
          onChange={(e) => setFind(e.target.value)}
        />
        <Action tone="quiet" aria-label="Close the list of screens" onClick={onClose}>
          ✕
        </Action>
      </Flex>
      <Box flex="1" overflowY="auto" px="6px">
        {areas.map((area) => (
          <Box
            as="section"
            key={area}
            aria-label={area || 'No area'}
            borderRadius="4px"
            bg={over === area ? 'amberSoft' : undefined}
            onDragOver={(e: React.DragEvent) => {
              e.preventDefault();
              setOver(area);
            }}
            onDragLeave={() => setOver(undefined)}
            onDrop={(e: React.DragEvent) => {
              setOver(undefined);
              const screen = e.dataTransfer.getData('text/plain');
              if (entities[screen]?.kind === 'screen') moveTo(screen, area);
            }}
          >
            <Box
              px="8px"
              pt="8px"
              fontSize="12px"
              fontWeight="700"
              color="muted"
              textTransform="uppercase"
              letterSpacing="0.04em"
            >
              {area || 'No area'}
            </Box>
            {shown
              .filter((s) => (s.area ?? '') === area)
              .map((s) => (
                <ScreenLine
                  key={s.id}
                  screen={s}
                  ways={ways.get(s.id)}
                  findings={findings.filter((f) => f.screen === s.id).length}
                  here={s.id === here}
                  onOpen={() => onOpen(s.id)}
                />
              ))}
          </Box>
        ))}
        {shown.length === 0 && (
          <Box color="muted" p="10px">
            {find ? 'No screen is called that.' : 'There is no screen yet.'}
          </Box>
        )}
      </Box>
      <Box p="10px 12px" borderTopWidth="1px" borderColor="rule">
        <Action w="full" justifyContent="center" onClick={onMake}>
          + a new screen
        </Action>
      </Box>
    </Flex>
  );
}

interface LineProps {
  screen: ScreenDoc;
  ways: { in: number; out: number } | undefined;
  findings: number;
  here: boolean;
  onOpen: () => void;
}

function ScreenLine({ screen: s, ways, findings, here, onOpen }: LineProps) {
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
      draggable
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

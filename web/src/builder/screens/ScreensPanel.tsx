import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Draft, Op } from '../../api/client';
import { waysBetween } from '../../document/leads';
import { neighbour, placeScreen } from '../../document/screenOrder';
import { screensOf } from '../../document/screens';
import { Action, Line } from '../../ui/controls';
import { ScreenLine } from './ScreenLine';

interface PanelProps {
  draft: Draft;
  here: string; // the screen that is open
  edit: (patch: Op[]) => Promise<unknown>;
  onOpen: (screen: string) => void;
  onMake: () => void;
  onClose: () => void;
}

/** All screens by area, with their ways and findings; dragged to another place or area, found by any word, made anew. */
export function ScreensPanel({ draft, here, edit, onOpen, onMake, onClose }: PanelProps) {
  const { entities, findings } = draft;
  const [find, setFind] = useState('');
  const [over, setOver] = useState<{ area: string; before?: string }>();
  const ways = waysBetween(entities);
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = screensOf(entities).filter((s) =>
    words.every((w) => `${s.title} ${s.area ?? ''} ${s.type} ${s.slug}`.toLowerCase().includes(w)),
  );
  const areas = [...new Set(shown.map((s) => s.area ?? ''))];
  const moveTo = (screen: string, area: string, before?: string) =>
    void edit(placeScreen(entities, screen, area, before));
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
            bg={over?.area === area && !over.before ? 'amberSoft' : undefined}
            onDragOver={(e: React.DragEvent) => {
              e.preventDefault();
              const on = e.target instanceof Element ? e.target.closest<HTMLElement>('[data-screen]') : undefined;
              setOver({ area, before: on?.dataset.screen });
            }}
            onDragLeave={() => setOver(undefined)}
            onDrop={(e: React.DragEvent) => {
              setOver(undefined);
              const screen = e.dataTransfer.getData('text/plain');
              if (entities[screen]?.kind === 'screen' && screen !== over?.before) moveTo(screen, area, over?.before);
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
                  marked={over?.before === s.id}
                  onOpen={() => onOpen(s.id)}
                  onMove={(by) => {
                    const before = neighbour(entities, s.id, by);
                    if (before !== undefined) moveTo(s.id, area, before || undefined);
                  }}
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

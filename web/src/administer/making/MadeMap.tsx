import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { ProposedApplication } from '../../api/client';
import { Plate } from '../../ui/Plate';
import { Tick } from '../../ui/Tick';
import { drawn } from './drawn';
import type { Wishes } from './useWishes';

const width = 190;
const height = 46;
const gap = { across: 90, down: 12 };

/** What will be made, as a small map; a screen that is chosen tells its ways. Each can be left out. */
export function MadeMap({ proposed, wishes }: { proposed: ProposedApplication; wishes: Wishes }) {
  const [chosen, setChosen] = useState('s_start');
  const { spots, lines, rows } = drawn(proposed);
  const screen = proposed.screens.find((s) => s.id === chosen) ?? proposed.screens[0];
  const x = (column: number) => column * (width + gap.across);
  const y = (row: number) => row * (height + gap.down);
  const ways = proposed.ways.filter((w) => w.from === screen?.id);
  const title = (id: string) =>
    id === 's_start' ? wishes.wish.title : (proposed.screens.find((s) => s.id === id)?.title ?? id);
  return (
    <Box as="section" aria-label="What will be made" borderTopWidth="1px" borderColor="rule" mt="18px" pt="12px">
      <Flex gap="20px" align="center" mb="12px" wrap="wrap">
        <Box as="h2" fontWeight="800">
          What will be made
        </Box>
        <Tick
          words="a rail with the lists"
          on={!wishes.wish.noRail}
          onTick={() => wishes.set({ noRail: !wishes.wish.noRail })}
        />
        <Tick
          words="editors, who change records"
          on={!wishes.wish.noEditors}
          onTick={() => wishes.set({ noEditors: !wishes.wish.noEditors })}
        />
        <Box fontSize="note" color="muted">
          Everyone here may look at all of it.
        </Box>
      </Flex>
      <Flex gap="28px" align="flex-start" wrap="wrap">
        <Box position="relative" flexShrink={0} w={`${x(2) + width}px`} h={`${y(rows)}px`}>
          <svg width={x(2) + width} height={y(rows)} aria-hidden style={{ position: 'absolute', inset: 0 }}>
            {lines.map((l) => {
              const [x1, y1, x2, y2] = [
                x(l.from.column) + width,
                y(l.from.row) + height / 2,
                x(l.to.column),
                y(l.to.row) + height / 2,
              ];
              return (
                <path
                  key={l.id}
                  d={`M${x1},${y1} C${x1 + 45},${y1} ${x2 - 45},${y2} ${x2},${y2}`}
                  fill="none"
                  stroke="var(--chakra-colors-muted)"
                  strokeWidth={l.from.id === chosen || l.to.id === chosen ? 2.5 : 1}
                  opacity={l.made ? 0.8 : 0.25}
                />
              );
            })}
          </svg>
          {spots.map((s) => (
            <Box
              as="button"
              key={s.id}
              position="absolute"
              left={`${x(s.column)}px`}
              top={`${y(s.row)}px`}
              w={`${width}px`}
              h={`${height}px`}
              cursor="pointer"
              aria-pressed={s.id === chosen}
              onClick={() => setChosen(s.id)}
            >
              <Plate
                title={title(s.id)}
                note={s.made ? s.note : 'left out'}
                tone={s.id === chosen ? 'chosen' : s.made ? 'plain' : 'ghost'}
              />
            </Box>
          ))}
        </Box>
        {screen && (
          <Box flex="1" minW="280px">
            <Flex align="baseline" gap="10px" mb="6px">
              <Box as="h3" fontWeight="800">
                {title(screen.id)}
              </Box>
              <Box fontSize="note" color="muted" flex="1">
                {screen.note}
              </Box>
            </Flex>
            {screen.id !== 's_start' && (
              <Tick
                words="make this screen"
                on={!wishes.wish.leaveOut?.includes(screen.id)}
                onTick={() => wishes.leaveOut(screen.id, !wishes.wish.leaveOut?.includes(screen.id))}
              />
            )}
            <Box as="ul" listStyleType="none" aria-label={`Ways of ${screen.title}`} mt="4px">
              {ways.map((w) => (
                <li key={w.id}>
                  <Tick
                    words={`${w.words} → ${title(w.to)}`}
                    on={!wishes.wish.leaveOut?.includes(w.id)}
                    onTick={() => wishes.leaveOut(w.id, !wishes.wish.leaveOut?.includes(w.id))}
                  />
                </li>
              ))}
            </Box>
          </Box>
        )}
      </Flex>
      <Box fontSize="note" color="muted" mt="14px">
        It is made in one step, which one undo takes back. All of it can be changed later.
      </Box>
    </Box>
  );
}

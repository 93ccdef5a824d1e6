import { Box } from '@chakra-ui/react';
import { useMemo, useRef } from 'react';
import type { View } from '../../api/client';
import { type ScreenHands, ScreenProvider } from '../../screen/context';
import { RailedSheet } from '../../screen/RailedSheet';
import { dressSheet } from '../../ui/theme/style';
import { Scaled } from '../stage/StageWidth';
import { useWhole } from './context';

const nothing = () => new Promise<never>(() => undefined); // what is only looked at is not pressed

interface DrawnProps {
  view: View;
  label: string;
  title?: string; // what it is, where there are several
  lit?: string; // the element that stands out
}

/** A screen as it is drawn, only to be looked at: scaled to the room that there is, and out of reach of keys. */
export function Drawn({ view, label, title, lit }: DrawnProps) {
  const { project } = useWhole();
  const box = useRef<HTMLDivElement>(null);
  const hands = useMemo(
    (): ScreenHands => ({
      base: '',
      pictures: `/api/project-pictures/${project}/`,
      onType: () => undefined,
      onPress: nothing,
      onArrange: () => undefined,
      more: nothing,
      titles: async () => [],
      trend: nothing,
    }),
    [project],
  );
  const typed = useMemo(() => ({ values: {}, errors: {} }), []);
  return (
    <ScreenProvider view={view} hands={hands} typed={typed} busy={undefined}>
      <style>{dressSheet(view, '[data-drawn-only]')}</style>
      {lit && (
        <style>{`[data-drawn-only] [data-is="${CSS.escape(lit)}"] { outline: 4px solid var(--chakra-colors-amber); outline-offset: 2px; }`}</style>
      )}
      {title && (
        <Box fontSize="note" fontWeight="700" mb="-6px">
          {title}
        </Box>
      )}
      <Box
        ref={box}
        data-drawn-only
        role="img"
        aria-label={label}
        className={view.appearance}
        flex="1"
        minH={0}
        overflow="auto"
        bg="paper"
        borderWidth="1px"
        borderColor="rule"
        borderRadius="6px"
      >
        <Box inert>
          <Scaled box={box} width="1280">
            <RailedSheet rails={view.rails} />
          </Scaled>
        </Box>
      </Box>
    </ScreenProvider>
  );
}

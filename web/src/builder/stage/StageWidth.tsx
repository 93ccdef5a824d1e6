import { Box } from '@chakra-ui/react';
import { type ReactNode, type RefObject, useEffect, useState } from 'react';
import { Select } from '../../ui/controls';

/** How wide the screen is drawn: as wide as the stage is, or at a width of its own, scaled to fit. */
export type StageWidth = 'stage' | '390' | '768' | '1280' | '1920';

const least = 760; // px: what there is less room for is scaled, not drawn as for a narrow window

const words: Record<StageWidth, string> = {
  stage: 'as wide as here',
  '390': '390 wide',
  '768': '768 wide',
  '1280': '1280 wide',
  '1920': '1920 wide',
};

const kept = 'ambergate.stage-width';

/** A width by its name; as wide as the stage for any other. */
function widthIn(name: string | null): StageWidth {
  return name === '390' || name === '768' || name === '1280' || name === '1920' ? name : 'stage';
}

/** The width at which one builds, kept for the next time. */
export function useStageWidth(): [StageWidth, (w: StageWidth) => void] {
  const [width, setWidth] = useState<StageWidth>(() => {
    const before = localStorage.getItem(kept);
    return widthIn(before);
  });
  return [
    width,
    (w) => {
      localStorage.setItem(kept, w);
      setWidth(w);
    },
  ];
}

export function StageWidthPicker({ width, onWidth }: { width: StageWidth; onWidth: (w: StageWidth) => void }) {
  return (
    <Select
      aria-label="Width of the screen"
      value={width}
      minH="26px"
      fontSize="note"
      onChange={(e) => onWidth(widthIn(e.target.value))}
    >
      {Object.entries(words).map(([id, w]) => (
        <option key={id} value={id}>
          {w}
        </option>
      ))}
    </Select>
  );
}

interface ScaledProps {
  box: RefObject<HTMLElement | null>;
  width: StageWidth;
  children: ReactNode;
}

/** What is drawn at a width of its own, scaled so that it fits into the stage. */
export function Scaled({ box, width, children }: ScaledProps) {
  const [room, setRoom] = useState(0);
  useEffect(() => {
    const el = box.current;
    if (!el) return;
    const measure = () => setRoom(el.clientWidth);
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(el);
    return () => watch.disconnect();
  }, [box]);
  if (room === 0 || (width === 'stage' && room >= least)) return children;
  const wanted = width === 'stage' ? least : Number(width);
  const scale = Math.min(1, room / wanted);
  return (
    <Box w={`${wanted}px`} mx={scale === 1 ? 'auto' : 0} minH="full" style={{ zoom: scale }}>
      {children}
    </Box>
  );
}

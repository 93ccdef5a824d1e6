import { Box } from '@chakra-ui/react';
import { type RefObject, useEffect, useState } from 'react';
import { colour } from '../../ui/theme/colours';
import type { OutPlate } from './plates';
import { route, type Wire } from './route';

interface WiresProps {
  body: RefObject<HTMLElement | null>;
  plates: OutPlate[];
  chosen: string | undefined;
  pointed: string | undefined;
}

/**
 * Amber wires from the notch under an element to its plate: along the gap below its row to the
 * edge of the stage, then in a lane of the margin. Where there is no free gap, there is no wire.
 */
export function Wires({ body, plates, chosen, pointed }: WiresProps) {
  const [wires, setWires] = useState<Wire[]>([]);
  // After all is laid out: the body around has its ref only then.
  useEffect(() => {
    const root = body.current;
    if (!root) return;
    let frame = 0;
    const draw = () => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => setWires(route(root, plates, chosen, pointed)));
    };
    draw();
    const resize = new ResizeObserver(draw);
    resize.observe(root);
    const change = new MutationObserver((records) => {
      if (records.some((r) => !(r.target instanceof Element && r.target.closest('[data-wires]')))) draw();
    });
    change.observe(root, { childList: true, subtree: true });
    root.addEventListener('scroll', draw, true);
    return () => {
      cancelAnimationFrame(frame);
      resize.disconnect();
      change.disconnect();
      root.removeEventListener('scroll', draw, true);
    };
  }, [body, plates, chosen, pointed]);
  return (
    <Box asChild position="absolute" inset="0" w="full" h="full" pointerEvents="none" zIndex="1" data-wires>
      <svg aria-hidden="true">
        {wires.map((w) => (
          <WireLine key={w.key} wire={w} />
        ))}
      </svg>
    </Box>
  );
}

function WireLine({ wire }: { wire: Wire }) {
  const color = wire.look === 'broken' ? colour('brick') : colour('amber');
  return (
    <g opacity={wire.chosen ? 1 : 0.75}>
      <path
        d={wire.path}
        fill="none"
        stroke={color}
        strokeWidth={wire.chosen ? 2.5 : 1.6}
        strokeDasharray={wire.look === 'shut' ? '6 5' : wire.look === 'broken' ? '9 4 2 4' : undefined}
        strokeLinejoin="round"
      />
      {wire.cross && (
        <path
          d={`M${wire.cross[0] - 5} ${wire.cross[1] - 5}l10 10m0-10l-10 10`}
          stroke={colour('brick')}
          strokeWidth="2.5"
        />
      )}
    </g>
  );
}

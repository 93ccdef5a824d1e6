import { Box } from '@chakra-ui/react';
import type { RailView } from '../../api/client';
import { useMarks, useScreen } from '../context';
import { DrawerPanel } from './DrawerPanel';
import { DrawerTab } from './DrawerTab';
import { edges } from './edges';

/** A rail that comes when it is asked for: by a gate, a touch at its edge, or its tab. */
export function DrawerRail({ rail }: { rail: RailView }) {
  const { drawers, builder } = useScreen();
  const marks = useMarks();
  const chosen = rail.elements.some((e) => e.id === marks.chosen || e.id === marks.lit);
  const open = drawers?.open === rail.id || chosen;
  const upright = rail.edge === 'left' || rail.edge === 'right';
  const held = builder ? 'absolute' : 'fixed';
  const edge = edges[rail.edge] ?? edges.right;
  const put = (how: string) => drawers?.put(rail.id, how);
  if (open) return <DrawerPanel rail={rail} upright={upright} held={held} onClose={() => put('close')} />;
  return (
    <>
      {rail.drawer?.touch && (
        <Box
          aria-hidden
          data-edge={rail.id}
          position={held}
          zIndex="docked"
          {...edge}
          {...(upright ? { top: 0, bottom: 0, w: '12px' } : { left: 0, right: 0, h: '12px' })}
          onPointerDown={(e) => e.isPrimary && put('open')}
        />
      )}
      {rail.drawer?.pull && <DrawerTab rail={rail} upright={upright} held={held} onOpen={() => put('open')} />}
    </>
  );
}

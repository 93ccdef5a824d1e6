import type { WayOut } from '../../api/client';
import { screenOf } from '../../document/screens';
import { useSteady } from '../../ui/useSteady';
import type { BuildHands } from '../context';
import { usePull } from '../margins/usePull';
import { moveTo } from '../sentence/proposals';
import { putMove, refOf } from '../sentence/wiring';

/** A wire that is pulled: onto a plate it leads there, on empty ground the screen is made that it leads to. */
export function usePulledWire(build: BuildHands) {
  const onTarget = useSteady(async (way: WayOut, target: string, of?: string) => {
    const to = screenOf(build.entities, target);
    build.choose(way.element, way.trigger);
    if (!to) return;
    const ref = refOf(build, way);
    await build.edit(putMove(ref, await moveTo(ref, to), of));
  });
  const onGround = useSteady((way: WayOut, of?: string) => {
    build.choose(way.element, way.trigger);
    build.setPicker(of ? `+make/${of}` : '+make');
  });
  return usePull(build.work.ways, onTarget, onGround);
}

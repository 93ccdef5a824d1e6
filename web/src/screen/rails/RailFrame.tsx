import { Flex } from '@chakra-ui/react';
import { memo, type ReactNode, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { ElementView, EntryView, RailView } from '../../api/client';
import { Glyph } from '../../ui/Glyph';
import { later } from '../../ui/later';
import { colour } from '../../ui/theme/colours';
import { useWide } from '../../ui/useWide';
import { useScreen } from '../context';
import type { OfKind } from '../kinds/kind';
import { useEntryMenu } from '../useEntryMenu';
import { RailElement, tall, wide } from './RailElement';

const DrawerRail = later(async () => (await import('./DrawerRail')).DrawerRail);

/** A screen between the rails that stand at its edges. They stay where they are while it scrolls. */
export function RailFrame({ rails: all, children }: { rails: RailView[]; children: ReactNode }) {
  const { builder, view } = useScreen();
  const wide = useWide();
  const rails = useMemo(() => standing(all, wide), [all, wide]);
  const at = (edge: string) => rails.filter((r) => r.edge === edge).map((r) => <Rail key={r.id} rail={r} />);
  return (
    <div className="railed" style={{ minHeight: builder ? '100%' : 'calc(100dvh - 44px)' }}>
      {at('top')}
      <div className="railed-middle">
        <div className="railed-side">{at('left')}</div>
        <div
          className="railed-screen"
          style={{ background: view.type === 'operator' ? colour('plant.ground') : undefined }}
        >
          <div style={{ height: '100%', ...besideTabs(all) }}>{children}</div>
        </div>
        <div className="railed-side">{at('right')}</div>
      </div>
      {at('bottom')}
      {all
        .filter((r) => r.drawer)
        .map((r) => (
          <DrawerRail key={r.id} rail={r} />
        ))}
    </div>
  );
}

/** The rails that are no drawers. Where it is narrow, those at the sides stand at the top, below what stands there. */
function standing(all: RailView[], wide: boolean): RailView[] {
  const rails = all.filter((r) => !r.drawer);
  if (wide) return rails;
  const side = (r: RailView) => r.edge === 'left' || r.edge === 'right';
  return [...rails.filter((r) => !side(r)), ...rails.filter(side).map((r) => ({ ...r, edge: 'top' as const }))];
}

/** Room for the tabs of drawers, so that they cover nothing. */
function besideTabs(rails: RailView[]) {
  const tab = (edge: string) => rails.some((r) => r.edge === edge && r.drawer?.pull);
  return { paddingLeft: tab('left') ? 28 : undefined, paddingRight: tab('right') ? 28 : undefined };
}

/** One rail. What does not fit folds into “More”, from the end; what never folds stays. */
const Rail = memo(function Rail({ rail }: { rail: RailView }) {
  const { builder } = useScreen();
  const upright = rail.edge === 'left' || rail.edge === 'right';
  const box = useRef<HTMLElement>(null);
  const fits = useFit(box, upright, rail.elements.length);
  const never = new Set(rail.never);
  const folded = foldOf(rail.elements, never, fits);
  const shown = rail.elements.filter((e) => !folded.some((f) => f.id === e.id));
  return (
    <nav
      ref={box}
      className="rail"
      aria-label={rail.name}
      data-rail={rail.id}
      data-edge={rail.edge}
      data-small={builder ? true : undefined}
    >
      {shown.map((e) => (
        <RailElement key={e.id} element={e} upright={upright} />
      ))}
      {folded.length > 0 && <More elements={folded} name={rail.name} upright={upright} />}
    </nav>
  );
});

/** How many elements a rail has room for. */
function useFit(box: React.RefObject<HTMLElement | null>, upright: boolean, n: number) {
  const [fits, setFits] = useState(n);
  useLayoutEffect(() => {
    const el = box.current;
    if (!el) return;
    // It is measured when the browser has laid everything out anyway, and folded before that is painted.
    const watch = new ResizeObserver(([seen]) => {
      if (!seen) return;
      const room = upright ? seen.contentRect.height : seen.contentRect.width;
      if (room > 0) flushSync(() => setFits(Math.max(1, Math.floor(room / (upright ? tall + 2 : wide + 4)))));
    });
    watch.observe(el);
    return () => watch.disconnect();
  }, [box, upright]);
  return fits;
}

/** The elements that go into “More”: from the end, leaving room for “More” itself. */
function foldOf(all: ElementView[], never: Set<string>, fits: number): OfKind<'button'>[] {
  if (all.length <= fits) return [];
  const folded: OfKind<'button'>[] = [];
  for (const e of all.toReversed()) {
    if (all.length - folded.length <= fits - 1) break;
    if (!never.has(e.id) && e.kind === 'button') folded.unshift(e);
  }
  return folded;
}

function More({ elements, name, upright }: { elements: OfKind<'button'>[]; name: string; upright: boolean }) {
  const { onPress } = useScreen();
  const menu = useEntryMenu((entry) => {
    const e = elements.find((x) => x.id === entry.id);
    if (e) void onPress(e);
  });
  const entries: EntryView[] = elements.map((e) => ({
    id: e.id,
    words: e.button.words,
    state: e.state,
    reason: e.reason,
    href: e.button.href,
  }));
  return (
    <>
      <Flex
        as="button"
        aria-haspopup="menu"
        align="center"
        gap="9px"
        minH={`${tall}px`}
        w={upright ? undefined : '90px'}
        px="10px"
        fontWeight="700"
        cursor="pointer"
        borderRadius="4px"
        _hover={{ bg: 'plate' }}
        onClick={(e: React.MouseEvent) =>
          menu.open({ label: `More of ${name}`, entries, at: e.currentTarget.getBoundingClientRect(), aim: {} })
        }
      >
        <Glyph name="more" size={18} /> More
      </Flex>
      {menu.menu}
    </>
  );
}

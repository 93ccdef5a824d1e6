import { Box, Flex, Heading } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import type { SitePoint } from '../../api/client';
import { Action } from '../../ui/controls';
import { useScreen } from '../context';
import type { OfKind } from '../kinds/kind';
import { RowMark } from '../RowMark';
import { useEntryMenu } from '../useEntryMenu';
import { nearest } from './nearest';
import { Point } from './Point';
import { PointList } from './PointList';

/**
 * A picture with points on it: records where their numbers say, and fixed marks. Arrows go from one to the next; where
 * the screen is narrowed by its points, pressing the chosen one again shows all.
 */
export function SitePlan({ element }: { element: OfKind<'sitePlan'> }) {
  const { sitePlan: plan } = element;
  const { view, pictures, onPress, onArrange } = useScreen();
  const [asList, setAsList] = useState(false);
  const [at, setAt] = useState(0);
  const board = useRef<HTMLDivElement>(null);
  const menu = useEntryMenu((_, aim) => void onPress(element, aim));
  const go = (p: SitePoint, also?: boolean) =>
    void onPress(element, p.mark ? { trigger: `mark.${p.id}` } : { row: p.id, also });
  const more = (p: SitePoint, box: DOMRect) =>
    menu.open({ label: `What can be done with ${p.words}`, entries: p.menu ?? [], at: box, aim: { row: p.id } });
  const onKeyDown = (e: React.KeyboardEvent) => {
    const to = e.altKey || e.ctrlKey ? undefined : nearest(plan.points, at, e.key);
    if (to === undefined) return;
    e.preventDefault();
    e.stopPropagation();
    setAt(to);
    board.current?.querySelectorAll<HTMLElement>('.site-point')[to]?.focus();
  };
  if (!plan.digest && plan.words) return <div className="field-error">{plan.words}</div>;
  const chosen = plan.points.filter((p) => p.chosen);
  const showAll = () => {
    const { filters = [], sort = [], find } = view.place;
    if (plan.input) onArrange({ filters, sort, find, clear: [plan.input] });
  };
  const each = { plan, onGo: go, onMore: more };
  return (
    <Box>
      <Flex justify="space-between" align="baseline" mb="6px" wrap="wrap" gap="10px">
        {plan.label && (
          <Heading as="h2" fontSize="text" fontWeight="800">
            {plan.label}
          </Heading>
        )}
        {chosen.length > 0 && (
          <Flex gap="8px" fontSize="note" align="baseline">
            only {chosen.map((p) => p.words).join(', ')}
            <Action minH="24px" onClick={showAll}>
              show all
            </Action>
          </Flex>
        )}
        <Legend points={plan.points} />
      </Flex>
      {plan.refused && <Box color="muted">{plan.refused}</Box>}
      {asList ? (
        <PointList {...each} />
      ) : (
        // Pictures are drawn for light ground.
        <Box
          ref={board}
          className="light site-board"
          role="group"
          aria-label={plan.label || plan.words}
          onKeyDown={onKeyDown}
        >
          {plan.digest ? <img src={pictures + plan.digest} alt={plan.words} /> : <div className="site-ground" />}
          {plan.points.map((p, i) => (
            <Point
              key={p.id}
              {...each}
              point={p}
              stop={i === Math.min(at, plan.points.length - 1)}
              onFocus={() => setAt(i)}
            />
          ))}
        </Box>
      )}
      <Flex justify="space-between" color="muted" fontSize="note" mt="4px" gap="12px" wrap="wrap">
        <Action tone="quiet" minH="24px" px="0" fontWeight="500" onClick={() => setAsList(!asList)}>
          {asList ? 'as a picture' : 'as a list'}
        </Action>
        {plan.off ? <span>{plan.off} beyond its edges, or without a place</span> : null}
        {plan.more && <span>only the first 500 are shown</span>}
      </Flex>
      {menu.menu}
    </Box>
  );
}

/** What the faces of the points mean. */
function Legend({ points }: { points: SitePoint[] }) {
  const faces = new Map(points.flatMap((p) => (p.face?.words ? [[p.face.words, p.face] as const] : [])));
  return (
    <Flex gap="14px" fontSize="note" color="muted">
      {[...faces].map(([words, face]) => (
        <Flex key={words} align="center" gap="5px">
          <RowMark face={face} />
          {words}
        </Flex>
      ))}
    </Flex>
  );
}

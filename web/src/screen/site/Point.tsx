import type { SitePlanView, SitePoint } from '../../api/client';
import { useScreen } from '../context';
import { RowMark } from '../RowMark';

/** What is needed to draw the points of a site plan. */
export interface PointsProps {
  plan: SitePlanView;
  onGo: (point: SitePoint, also?: boolean) => void;
  onMore: (point: SitePoint, at: DOMRect) => void;
}

interface PointProps extends PointsProps {
  point: SitePoint;
  stop: boolean; // the tabulator comes to it; arrows go on from there
  onFocus: () => void;
}

/** What a point is called, for those who hear it: with what its face means, and why it does not open. */
const said = (p: SitePoint) => [p.words, p.face?.words, p.open ? '' : p.reason].filter(Boolean).join(', ');

/** One point on the picture. Its words stand beside it where it is a mark, is chosen, or is pointed at. */
export function Point({ plan, point: p, stop, onFocus, onGo, onMore }: PointProps) {
  const { base, builder } = useScreen();
  const look = {
    className: 'site-point',
    'data-mark': p.mark || undefined,
    ...(p.mark && { 'data-fixed': p.id, 'data-x': p.x, 'data-y': p.y }), // which a builder can drag
    'data-chosen': p.chosen || undefined,
    'data-left': p.x > 60 || undefined,
    'data-faded': (plan.points.some((x) => x.chosen) && !p.chosen) || undefined,
    style: { left: `${p.x}%`, top: `${p.y}%` },
    tabIndex: stop ? 0 : -1,
    'aria-label': said(p),
    onFocus,
    onContextMenu: (e: React.MouseEvent) => {
      if (!p.menu?.length) return;
      e.preventDefault();
      onMore(p, e.currentTarget.getBoundingClientRect());
    },
    onKeyDown: (e: React.KeyboardEvent) => {
      if (!p.menu?.length || !(e.key === 'ContextMenu' || (e.shiftKey && e.key === 'F10'))) return;
      e.preventDefault();
      onMore(p, e.currentTarget.getBoundingClientRect());
    },
  };
  const inside = (
    <>
      {!(p.mark && !p.face) && <RowMark face={p.face} />}
      <span className="site-words">{p.words}</span>
    </>
  );
  const follow = (e: React.MouseEvent) => {
    if (e.ctrlKey || e.metaKey || e.shiftKey) return;
    e.preventDefault();
    onGo(p);
  };
  if (p.open && p.href !== undefined && !builder && !plan.again)
    return (
      <a {...look} href={base + p.href} onClick={follow}>
        {inside}
      </a>
    );
  return (
    <button
      type="button"
      {...look}
      aria-disabled={!p.open || undefined}
      aria-pressed={plan.again && !p.mark ? (p.chosen ?? false) : undefined}
      title={p.open ? undefined : p.reason}
      onClick={(e) => p.open && onGo(p, e.ctrlKey || e.metaKey)}
    >
      {inside}
    </button>
  );
}

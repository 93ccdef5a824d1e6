import type { ChartView, PointView } from '../../api/client';

const shades = ['rank.first', 'rank.second', 'rank.third', 'rank.fourth'];

/** The token of a rank's colour, from 0. */
export const shadeOf = (rank: number) => shades[rank] ?? 'rank.fourth';

/** How a point is chosen: besides others, or as the first of a stretch of time. */
export interface Choosing {
  also?: boolean;
  to?: string; // the last of the stretch
}

/** What draws the points of a chart is given. */
export interface PointsProps {
  chart: ChartView;
  onChoose: (value: string, how?: Choosing) => void;
  onMore: (point: PointView, at: DOMRect) => void;
}

/** How a press chooses a point: with Ctrl besides those that are chosen, with Shift along with all since the first of them. */
export function choosing(
  chart: ChartView,
  p: PointView,
  e: { ctrlKey: boolean; metaKey: boolean; shiftKey: boolean },
): [string, Choosing] {
  const first = chart.points.find((x) => x.chosen);
  if (e.shiftKey && chart.span && first) return stretch(chart, first.value, p.value);
  return [p.value, chart.several && (e.ctrlKey || e.metaKey) ? { also: true } : {}];
}

/** A stretch between two points of a chart, whichever comes first. */
export function stretch(chart: Pick<ChartView, 'points'>, a: string, b: string): [string, Choosing] {
  if (a === b) return [a, {}];
  const place = (value: string) => chart.points.findIndex((p) => p.value === value);
  return place(a) < place(b) ? [a, { to: b }] : [b, { to: a }];
}

/** How a point stands back while another is chosen. */
export const faded = (chart: ChartView, p: PointView) => (chart.points.some((x) => x.chosen) && !p.chosen ? 0.6 : 1);

/** What of a chart each kind of drawing shows. */
export type Shape = 'bars' | 'columns' | 'line' | 'area' | 'share' | 'grid' | 'dots' | 'table';

const shapes: Shape[] = ['bars', 'columns', 'line', 'area', 'share', 'grid', 'dots', 'table'];

/** How a chart is drawn: as it is asked for, else along time as columns and otherwise as bars. A grid needs parts. */
export function shapeOf(chart: Pick<ChartView, 'shape' | 'span' | 'splits'>): Shape {
  const wanted = shapes.find((s) => s === chart.shape) ?? (chart.span ? 'columns' : 'bars');
  return wanted === 'grid' && !chart.splits?.length ? 'table' : wanted;
}

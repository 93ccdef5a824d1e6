import type { ChartView, PointView } from '../../api/client';

const shades = ['rank.first', 'rank.second', 'rank.third', 'rank.fourth'];

/** The token of a rank's colour, from 0. */
export const shadeOf = (rank: number) => shades[rank] ?? 'rank.fourth';

/** What draws the points of a chart is given. */
export interface PointsProps {
  chart: ChartView;
  onChoose: (value: string) => void;
  onMore: (point: PointView, at: DOMRect) => void;
}

/** How a point stands back while another is chosen. */
export const faded = (chart: ChartView, p: PointView) => (chart.points.some((x) => x.chosen) && !p.chosen ? 0.6 : 1);

/** What the parts of a point are called. */
export const partWords = (part: string) => ({ true: 'yes', false: 'no' })[part] ?? part;

/** What of a chart each kind of drawing shows. */
export type Shape = 'bars' | 'columns' | 'line' | 'area' | 'share' | 'grid' | 'table';

const shapes: Shape[] = ['bars', 'columns', 'line', 'area', 'share', 'grid', 'table'];

/** How a chart is drawn: as it is asked for, else along time as columns and otherwise as bars. A grid needs parts. */
export function shapeOf(chart: Pick<ChartView, 'shape' | 'span' | 'splits'>): Shape {
  const wanted = shapes.find((s) => s === chart.shape) ?? (chart.span ? 'columns' : 'bars');
  return wanted === 'grid' && !chart.splits?.length ? 'table' : wanted;
}

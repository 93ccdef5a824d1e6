import type { ChartView, PointView } from '../../api/client';

/** Darker for the higher rank: one hue, so that order is seen and not only colour. Token names. */
const shades = ['rank1', 'rank2', 'rank3', 'rank4'];

/** The colour of a rank, from 0. */
export const shadeOf = (rank: number) => shades[Math.min(rank, shades.length - 1)] ?? 'rank4';

/** What draws the points of a chart is given. */
export interface PointsProps {
  chart: ChartView;
  onChoose: (value: string) => void;
  onMore: (point: PointView, at: DOMRect) => void;
}

/** How a point stands back while another is chosen. */
export const faded = (chart: ChartView, p: PointView) => (chart.points.some((x) => x.chosen) && !p.chosen ? 0.6 : 1);

/** A number of a point, short: 1,240 or 12.5. */
export function amount(n: number) {
  return n.toLocaleString('en', { maximumFractionDigits: n < 100 ? 1 : 0 });
}

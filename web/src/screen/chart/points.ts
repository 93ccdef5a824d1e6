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

import {
  Activity,
  ArrowLeft,
  ArrowRight,
  ArrowUp,
  CableCar,
  ChartColumn,
  Check,
  CircleAlert,
  CircleDashed,
  House,
  LayoutDashboard,
  List,
  type LucideIcon,
  Plus,
  Signpost,
  Square,
  SquarePen,
  TramFront,
  User,
  X,
} from 'lucide-react';

const glyphs: Record<string, LucideIcon> = {
  menu: Signpost,
  list: List,
  form: SquarePen,
  dashboard: ChartColumn,
  operator: Activity,
  back: ArrowLeft,
  forward: ArrowRight,
  home: House,
  up: ArrowUp,
  close: X,
  stay: Check,
  none: CircleDashed,
  user: User,
  alert: CircleAlert,
  cabin: TramFront,
  chart: ChartColumn,
  lift: CableCar,
  board: LayoutDashboard,
  plus: Plus,
  stop: Square,
};

/** The sign of a kind of screen, of a move, or of a button's picture. */
export function Glyph({ name, size = 18 }: { name: string; size?: number }) {
  const Icon = glyphs[name] ?? CircleDashed;
  return <Icon size={size} strokeWidth={1.8} aria-hidden />;
}

/** The pictures a button can have, by name. */
export const buttonIcons = ['user', 'alert', 'cabin', 'chart', 'lift', 'board', 'plus', 'stop', 'back', 'forward'];

import type { useRows } from './useRows';
import type { Stretch } from './useStretch';

interface KeysProps {
  shown: ReturnType<typeof useRows>;
  stretch: Stretch;
  inPlace: boolean;
  open: (key: string) => void;
  edit: (key: string) => void;
  menu: (key: string) => void;
  tick: (key: string) => void;
}

/** The keys of a list: arrows go through its rows, Enter opens or changes one, Space ticks it. */
export function useRowKeys({ shown, stretch, inPlace, open, edit, menu, tick }: KeysProps) {
  const { box, active, step, page, jump } = shown;
  const all = stretch.rows.length;
  const ofActive = (act: (key: string) => void) => () => active && act(active);
  const moves: Record<string, () => unknown> = {
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    PageDown: () => step(page),
    PageUp: () => step(-page),
    Home: () => (stretch.before ? jump(false) : step(-all)),
    End: () => (stretch.next ? jump(true) : step(all)),
    Enter: ofActive(inPlace ? edit : open),
    ContextMenu: ofActive(menu),
    F2: ofActive((key) => inPlace && edit(key)),
    ' ': ofActive(tick),
  };
  return (e: React.KeyboardEvent) => {
    const move = moves[e.key];
    if (!move || e.target !== box.current || e.altKey || e.ctrlKey || e.metaKey) return;
    e.preventDefault();
    void move();
  };
}

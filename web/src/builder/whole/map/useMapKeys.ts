import type { MapPlate, ScreenMap } from '../../../api/client';
import { nextPlate } from './view';

interface Keys {
  map: ScreenMap;
  chosen: string[];
  onChoose: (plates: string[]) => void;
  onOpen: (screen: string) => void;
  onNext: (plate: MapPlate) => void;
}

/** What keys do on a plate: arrows go along wires, Enter chooses, with Shift as the second, with Ctrl it is built. */
export function useMapKeys({ map, chosen, onChoose, onOpen, onNext }: Keys) {
  return (e: React.KeyboardEvent) => {
    const id = e.target instanceof HTMLElement ? e.target.dataset.plate : undefined;
    const from = map.plates.find((p) => p.id === id);
    if (!from) return;
    if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) {
      if (!from.rail) onOpen(from.id);
    } else if (e.key === 'Enter' || e.key === ' ') {
      onChoose(e.shiftKey && chosen[0] && chosen[0] !== from.id ? [chosen[0], from.id] : [from.id]);
    } else if (e.key === 'Escape') onChoose([]);
    else {
      const next = nextPlate(map, from, e.key);
      if (!next) return;
      onNext(next);
    }
    e.preventDefault();
  };
}

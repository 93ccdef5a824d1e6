import { createContext, useContext } from 'react';
import type { ElementView, Filter, ListView, Samples, Sort, Title, View } from '../api/client';

/** What a press brings besides its element. */
export interface PressAim {
  row?: string;
  point?: string;
}

/** How a builder sees and chooses elements; absent for users. */
export interface BuilderHands {
  chosen: string | undefined;
  numbers: Record<string, number>;
  onChoose: (element: string) => void;
  onPoint: (element: string | undefined) => void;
  onEmptyCell: (row: number, col: number) => void;
  lit: string | undefined;
}

/** What the one renderer of screens needs from whoever shows a screen. */
export interface ScreenHands {
  view: View;
  busy: string | undefined; // element whose press is under way
  values: Record<string, string>; // typed and not saved
  errors: Record<string, string>; // beside their fields
  onType: (field: string, value: string) => void;
  onPress: (element: ElementView, aim?: PressAim) => void;
  onArrange: (change: { filters: Filter[]; sort: Sort[]; clear?: string[] }) => void;
  more: (element: string, after: string) => Promise<ListView>;
  titles: (table: string, find: string) => Promise<Title[]>;
  trend: (element: string) => Promise<Samples>;
  base: string; // what addresses of plain links begin with
  builder?: BuilderHands;
}

const ScreenContext = createContext<ScreenHands | null>(null);

export const ScreenProvider = ScreenContext.Provider;

/** The hands of the screen around this element. */
export function useScreen(): ScreenHands {
  const hands = useContext(ScreenContext);
  if (!hands) throw new Error('an element was drawn outside of a screen');
  return hands;
}

import { createContext, type ReactNode, useContext, useMemo } from 'react';
import type { ListChoice, ListView, Look, Position, Samples, Title, View } from '../api/client';
import type { Arrangement, PressAim, Pressed } from '../trail/asking';
import type { HoldHands } from '../trail/Hold';
import { written } from '../ui/language';
import { sameBut, useStill } from '../ui/useStill';
import type { DrawerHands } from './rails/useDrawers';

/** How a builder chooses elements; absent for users. */
export interface BuilderHands {
  onChoose: (element: string, also: boolean) => void;
  onPoint: (element: string | undefined) => void;
  onEmptyCell: (cell: { row: number; col: number; at: DOMRect; tab?: string; frame?: string }) => void;
}

/** Which elements stand out on the builder's stage. */
export interface Marks {
  chosen?: string;
  several?: string[];
  lit?: string;
  numbers: Record<string, number>;
}

/** What is typed and not saved, and what is wrong with it, by field. */
export interface Typed {
  values: Record<string, string>;
  errors: Record<string, string>;
}

/** What is kept for a user who works on a screen; absent on the builder's stage. */
export interface WorkHands {
  /** How a list was left; what depends on its chosen row comes back by itself. */
  keepLook: (list: string, look: Look) => void;
  position: () => Promise<Position>;
  views: (list: string) => Promise<ListChoice[]>;
  keepView: (list: string, view: ListChoice) => Promise<void>;
  dropView: (list: string, name: string) => Promise<void>;
  csv?: (list: string) => string; // none where lists are not saved as files
  saveList: (list: string) => Promise<void>; // as such a file
  picture: (field: string, digest: string) => string;
  addParent: (field: string) => void;
  /** What acts as long as a button is held. */
  holding: (element: { id: string }) => HoldHands;
  /** Titles of records that dialogs came to, by field. */
  given: Record<string, Title>;
  /** The list in which a row is being added. */
  adding: string | undefined;
  onAdding: (list: string | undefined) => void;
}

/** A screen without what stands on it. */
export type Frame = Omit<View, 'elements'>;

/** What the one renderer of screens needs from whoever shows a screen. */
export interface ScreenHands {
  onType: (field: string, value: string) => void;
  onPress: (element: { id: string }, aim?: PressAim) => Promise<Pressed>;
  onArrange: (change: Arrangement) => void;
  more: (element: string, cursor: string, back: boolean) => Promise<ListView>;
  titles: (table: string, find: string, key?: string) => Promise<Title[]>;
  trend: (element: string) => Promise<Samples>;
  pictures: string; // what addresses of the project's pictures begin with
  base: string; // what addresses of plain links begin with
  drawers?: DrawerHands;
  builder?: BuilderHands;
  work?: WorkHands;
}

/** A screen as its elements know it: it stays the same while live values come, several times a second. */
interface Screen extends ScreenHands {
  view: Frame;
}

// What changes at each key, press, live value or move of the pointer is given apart from what the whole screen is
// drawn from, so that only what tells of it is drawn anew.
const ScreenContext = createContext<Screen | null>(null);
const ViewContext = createContext<View | null>(null);
const TypedContext = createContext<Typed>({ values: {}, errors: {} });
const BusyContext = createContext<string | undefined>(undefined);
const unmarked: Marks = { numbers: {} };
const MarksContext = createContext<Marks>(unmarked);

interface ScreenProps {
  view: View;
  hands: ScreenHands; // the same object as long as they do the same
  typed: Typed;
  busy: string | undefined; // element whose press is under way
  marks?: Marks;
  children: ReactNode;
}

/** Gives a screen to the elements inside. */
export function ScreenProvider({ view, hands, typed, busy, marks = unmarked, children }: ScreenProps) {
  const frame = useStill<Frame>(view, sameFrame);
  const screen = useMemo(() => ({ ...hands, view: frame }), [hands, frame]);
  return (
    <ScreenContext.Provider value={screen}>
      <ViewContext.Provider value={view}>
        <TypedContext.Provider value={typed}>
          <BusyContext.Provider value={busy}>
            <MarksContext.Provider value={marks}>{children}</MarksContext.Provider>
          </BusyContext.Provider>
        </TypedContext.Provider>
      </ViewContext.Provider>
    </ScreenContext.Provider>
  );
}

/** Whether two views are the same but for what stands on them: what comes live leaves all other parts as they are. */
export const sameFrame = (was: Frame, now: Frame) => sameBut<Frame & Partial<View>>(was, now, ['elements']);

/** The screen around this element, and what it does. */
export function useScreen(): Screen {
  return inside(useContext(ScreenContext));
}

/** The screen with all that stands on it: who asks for it is drawn anew with each live value. */
export function useView(): View {
  return inside(useContext(ViewContext));
}

function inside<T>(screen: T | null): T {
  if (!screen) throw new Error('an element was drawn outside of a screen');
  return screen;
}

/** What is typed on the screen around this element, and what is wrong with it. */
export const useTyped = () => useContext(TypedContext);

/** The element whose press is under way. */
export const useBusy = () => useContext(BusyContext);

/** What stands out on the builder's stage. */
export const useMarks = () => useContext(MarksContext);

/** Writes numbers and dates as the application says. */
export function useLanguage() {
  return written(useScreen().view.language ?? 'en');
}

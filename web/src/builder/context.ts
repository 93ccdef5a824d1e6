import { createContext, useContext, useEffect } from 'react';
import type { AtWork, Draft, WayOut } from '../api/client';
import type { Document } from '../document/document.gen';
import type { DraftHands } from './useDraft';

/** What every part of the Screen view works with. */
export interface BuildHands {
  project: string;
  draft: Draft;
  entities: Document; // of the project, by id
  screen: string;
  work: AtWork;
  as: string; // whom one walks as
  journal: string | undefined; // of the practice
  chosen: string | undefined; // element
  several: string[]; // elements, where more than one is chosen
  chooseAlso: (element: string) => void;
  chooseAll: (elements: string[]) => void;
  way: WayOut | undefined; // of the chosen element: the one that was chosen, else its first
  ways: WayOut[]; // all of the chosen element
  choose: (element: string | undefined, trigger?: string) => void;
  point: (element: string | undefined) => void; // it is pointed at
  edit: DraftHands['edit'];
  open: (screen: string, element?: string) => void;
  openPicker: string | undefined; // part of the sentence whose picker is open
  setPicker: (part: string | undefined) => void;
  cover: (by: 1 | -1) => void; // a picker lies over the stage, or does not any more
}

const BuildContext = createContext<BuildHands | null>(null);

export const BuildProvider = BuildContext.Provider;

/** The hands of the Screen view around this part. */
export function useBuild(): BuildHands {
  const hands = useContext(BuildContext);
  if (!hands) throw new Error('a part of the builder was drawn outside of it');
  return hands;
}

/** Keeps the stage still for as long as this part is there: a picker lies over it. */
export function useCover() {
  const { cover } = useBuild();
  useEffect(() => {
    cover(1);
    return () => cover(-1);
  }, [cover]);
}

import { createContext, useContext } from 'react';
import type { Draft } from '../../api/client';
import type { DraftHands } from '../useDraft';

/** What the views of the whole are given: the application, who walks it, and ways to its places. */
export interface Whole {
  project: string;
  draft: Draft;
  as: string; // whom one walks as
  walked: string; // the roles of who is walked as, as reach names them; "" for nobody
  hands: DraftHands;
  edit: DraftHands['edit'];
  openScreen: (screen: string, element?: string) => void;
  openData: (page: string) => void;
  openReach: (screen: string, who?: string) => void;
  openMap: (screen: string) => void;
  openWalk: (walk: string | undefined) => void;
  openRelease: (item: string) => void;
}

const context = createContext<Whole | undefined>(undefined);

export const WholeProvider = context.Provider;

export function useWhole(): Whole {
  const whole = useContext(context);
  if (!whole) throw new Error('no view of the whole is open');
  return whole;
}

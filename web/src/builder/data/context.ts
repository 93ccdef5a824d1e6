import { createContext, useContext } from 'react';
import type { Draft, Op, RightsTable } from '../../api/client';
import type { Document } from '../../document/document.gen';

/** What every part of the Data view works with. */
export interface RightsHands {
  project: string;
  as: string;
  draft: Draft;
  entities: Document;
  rights: RightsTable;
  edit: (patch: Op[]) => Promise<unknown>;
  openScreen: (screen: string, element?: string) => void;
  openData: (item: string) => void;
}

const RightsContext = createContext<RightsHands | null>(null);

export const RightsProvider = RightsContext.Provider;

/** The hands of the Data view around this part. */
export function useRights(): RightsHands {
  const hands = useContext(RightsContext);
  if (!hands) throw new Error('a part of the Data view was drawn outside of it');
  return hands;
}

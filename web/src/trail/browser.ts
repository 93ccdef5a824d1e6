import { type Act, api } from '../api/client';
import { noteOpened, openedFrom } from './cameFrom';
import { claim } from './claim';
import { keptByTab, type Pointer } from './pointer';
import type { TabHistory } from './Trail';

/** How the page's router goes to an address, or by steps. */
export interface Navigate {
  (to: string, options: { replace: boolean; state: Pointer }): unknown;
  (by: number): unknown;
}

/** The history of this tab, through the page's router. */
export function tabHistory(navigate: Navigate): TabHistory {
  return {
    here: () => ({ state: window.history.state?.usr, before: window.history.state?.idx ?? 0 }),
    put: (address, state, replace) => void navigate(address, { replace, state }),
    step: (by) => void navigate(by),
    kept: keptByTab,
    keep: (name, value) => sessionStorage.setItem(name, value),
    claim,
    openedFrom: (address) => openedFrom(address),
  };
}

/** What only the browser can do for a press. */
export function browserHands(project: string, file: FileHand, drawer: DrawerHand) {
  return {
    does: async (act: Act) => {
      if (act.what === 'print') window.print();
      if (act.what === 'drawer' && act.rail) drawer(act.rail, act.how ?? 'open');
      if (act.what === 'export' && act.list) await file(act.list);
    },
    openTab: (address: string, from: { trail: string; n: number }) => {
      const whole = `/use/${project}${address}`;
      noteOpened(whole, from);
      window.open(whole, '_blank', 'noopener');
    },
    leave: (address: string, aside: boolean) => {
      if (aside) window.open(address, '_blank', 'noopener');
      else window.location.assign(address);
    },
    out: async () => {
      await api.POST('/api/sign-out');
      sessionStorage.clear();
      window.location.assign('/');
    },
  };
}

/** Saves a whole list as a file; a no is a Refused. */
type FileHand = (list: string) => Promise<void>;

type DrawerHand = (rail: string, how: string) => void;

import { lazy, type ReactNode, Suspense, useCallback, useState } from 'react';
import type { EntryView } from '../api/client';
import type { PressAim } from '../trail/asking';
import { useScreen } from './context';

const EntryMenu = lazy(() => import('./EntryMenu'));

interface Open {
  label: string;
  entries: EntryView[];
  at: DOMRect;
  aim: PressAim;
}

/** The one menu of a list's rows, a chart's points or a rail: opened where one of them asks for it. */
export function useEntryMenu(onEntry: (entry: EntryView, aim: PressAim) => void): {
  open: (o: Open) => void;
  menu: ReactNode;
} {
  const { base, builder } = useScreen();
  const [shown, setShown] = useState<Open>();
  const close = useCallback(() => setShown(undefined), []);
  const menu = shown && (
    <Suspense>
      <EntryMenu
        label={shown.label}
        entries={shown.entries}
        at={shown.at}
        base={builder ? '' : base}
        onClose={close}
        onChoose={(entry) => {
          close();
          onEntry(entry, { ...shown.aim, trigger: `menu.${entry.id}` });
        }}
      />
    </Suspense>
  );
  return { open: setShown, menu };
}

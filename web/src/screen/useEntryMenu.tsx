import { lazy, type ReactNode, Suspense, useCallback, useState } from 'react';
import type { ElementView, EntryView } from '../api/client';
import type { PressAim } from './context';
import { useScreen } from './context';

const EntryMenu = lazy(() => import('./EntryMenu'));

interface Open {
  label: string;
  entries: EntryView[];
  at: DOMRect;
  aim: PressAim;
}

/** The one menu of a list's rows or a chart's points: opened where one of them asks for it. */
export function useEntryMenu(
  element: ElementView,
  onEntry?: (entry: EntryView) => void, // instead of pressing the entry of the element
): { open: (o: Open) => void; menu: ReactNode } {
  const { onPress, base, builder } = useScreen();
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
          if (onEntry) onEntry(entry);
          else void onPress(element, { ...shown.aim, trigger: `menu.${entry.id}` });
        }}
      />
    </Suspense>
  );
  return { open: setShown, menu };
}

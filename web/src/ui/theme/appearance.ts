import { useEffect, useSyncExternalStore } from 'react';

/** How the interface looks: as the system does, or always by day or by night. */
export type Appearance = 'system' | 'light' | 'dark';

const name = 'ambergate.appearance';
const night = () => window.matchMedia('(prefers-color-scheme: dark)');
const listeners = new Set<() => void>();
let fixed: 'light' | 'dark' | undefined; // by the screen that is shown

/** What the user has chosen; as the system, if nothing. */
export function appearance(): Appearance {
  const kept = localStorage.getItem(name);
  return kept === 'light' || kept === 'dark' ? kept : 'system';
}

/** Keeps what the user chooses, and shows it. */
export function setAppearance(chosen: Appearance) {
  localStorage.setItem(name, chosen);
  apply();
}

function fixAppearance(to: 'light' | 'dark' | undefined) {
  fixed = to;
  apply();
}

/** Fixes it for as long as a screen is shown whose project says how its kind looks. */
export function useFixedAppearance(wanted: string | undefined) {
  useEffect(() => {
    fixAppearance(wanted === 'light' || wanted === 'dark' ? wanted : undefined);
    return () => fixAppearance(undefined);
  }, [wanted]);
}

/** The look that is shown. */
export function lookOf(chosen: Appearance, dark: boolean, wanted?: 'light' | 'dark'): 'light' | 'dark' {
  if (wanted) return wanted;
  if (chosen === 'system') return dark ? 'dark' : 'light';
  return chosen;
}

function apply() {
  const look = lookOf(appearance(), night().matches, fixed);
  document.documentElement.classList.remove('light', 'dark');
  document.documentElement.classList.add(look);
  document.documentElement.style.colorScheme = look;
  for (const told of listeners) told();
}

/** Shows the look from the start, and goes on with the system. */
export function beginAppearance() {
  apply();
  night().addEventListener('change', apply);
  window.addEventListener('storage', (e) => e.key === name && apply()); // another tab has chosen
}

/** What the user has chosen, and how to choose. */
export function useAppearance(): [Appearance, (chosen: Appearance) => void] {
  const chosen = useSyncExternalStore((told) => {
    listeners.add(told);
    return () => listeners.delete(told);
  }, appearance);
  return [chosen, setAppearance];
}

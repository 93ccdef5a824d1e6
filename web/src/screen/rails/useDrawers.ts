import { useCallback, useEffect, useMemo, useState } from 'react';

/** Which of the rails that are drawers is open: one at a time. */
export interface DrawerHands {
  open: string | undefined;
  put: (rail: string, how: string) => void;
}

/** Keeps which drawer is open; Escape closes it. */
export function useDrawers(): DrawerHands {
  const [open, setOpen] = useState<string>();
  const put = useCallback(
    (rail: string, how: string) =>
      setOpen((was) => (how === 'open' || (how === 'toggle' && was !== rail) ? rail : was === rail ? undefined : was)),
    [],
  );
  useEffect(() => {
    if (!open) return;
    const close = (e: KeyboardEvent) => e.key === 'Escape' && !e.defaultPrevented && setOpen(undefined);
    window.addEventListener('keydown', close);
    return () => window.removeEventListener('keydown', close);
  }, [open]);
  return useMemo(() => ({ open, put }), [open, put]);
}

import { useEffect, useState, useSyncExternalStore } from 'react';
import type { KeptDraft, View } from '../api/client';
import type { Calls } from '../trail/calls';
import { Draft } from '../trail/Draft';
import { useSteady } from '../ui/useSteady';

/** What is typed on a screen; it is kept also when the page hides. */
export function useDraft(view: View, found: KeptDraft | undefined, call: Calls) {
  const keep = useSteady(call.keepDraft);
  const [draft] = useState(() => new Draft(view, found, keep, view.mode === 'edit' || view.mode === 'add'));
  useEffect(() => {
    const hide = () => document.visibilityState === 'hidden' && void draft.flush(true);
    const leave = () => void draft.flush(true);
    document.addEventListener('visibilitychange', hide);
    window.addEventListener('pagehide', leave);
    return () => {
      draft.end();
      document.removeEventListener('visibilitychange', hide);
      window.removeEventListener('pagehide', leave);
    };
  }, [draft]);
  return { draft, ...useSyncExternalStore(draft.subscribe, draft.snapshot) };
}

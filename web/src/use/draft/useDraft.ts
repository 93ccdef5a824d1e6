import { useEffect, useState, useSyncExternalStore } from 'react';
import type { KeptDraft, View } from '../../api/client';
import type { At, Calls } from '../../trail/calls';
import { Draft } from '../../trail/Draft';
import { unsentIn } from '../../trail/unsent';
import { useSteady } from '../../ui/useSteady';

/** What is typed on a screen; it is kept also when the page hides. */
export function useDraft(view: View, kept: KeptDraft | undefined, call: Calls, at: At, onKept: () => void) {
  // Which steps of a guided task are to come depends on what is typed.
  const guided = view.elements.some((e) => e.kind === 'steps');
  const keep = useSteady<Parameters<Calls['keepDraft']>, ReturnType<Calls['keepDraft']>>(async (draft, last) => {
    const kept = await call.keepDraft(draft, last);
    if (guided && !last) onKept();
    return kept;
  });
  const [draft] = useState(() => {
    const typed = view.mode === 'edit' || view.mode === 'add';
    return new Draft(view, kept, keep, typed, unsentIn(sessionStorage, at, view));
  });
  useEffect(() => draft.sees(view), [draft, view]);
  useEffect(() => {
    draft.begins();
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

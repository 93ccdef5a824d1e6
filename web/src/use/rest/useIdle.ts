import { useEffect, useState } from 'react';
import type { Shown } from '../../api/client';
import { useSteady } from '../../ui/useSteady';
import type { Unsaved } from '../draft/useUnsaved';
import { Idle } from './Idle';

/**
 * Nobody has touched the page for as long as the role says: what was typed is forgotten, dialogs are closed, variables
 * begin anew, and the tab is at its start again. Gives how many seconds are left, shortly before.
 */
export function useIdle(project: string, shown: Shown, unsaved: Unsaved): number | undefined {
  const [left, setLeft] = useState<number>();
  const { idleAfter = 0, idleWarn = 0 } = shown;
  const busy = useSteady(() => unsaved.dirty() && shown.view.elements.some((e) => e.kind === 'steps'));
  const atRest = useSteady(() => {
    const atStart = shown.home === shown.view.title && shown.n === 1 && !shown.overlays?.length;
    return atStart && !unsaved.dirty(); // it is as it would be
  });
  const onRest = useSteady(async () => {
    if (atRest()) return;
    await unsaved.forget();
    sessionStorage.clear(); // the trail too: another one begins
    window.location.assign(`/use/${project}`);
  });
  useEffect(() => {
    if (idleAfter <= 0) return;
    const hands = { onLeft: setLeft, onRest: () => void onRest(), busy };
    return new Idle(idleAfter, idleWarn, hands, !atRest()).start(document);
  }, [idleAfter, idleWarn, onRest, atRest, busy]);
  return left;
}

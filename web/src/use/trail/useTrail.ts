import { useEffect, useState, useSyncExternalStore } from 'react';
import { useLocation, useNavigate, useNavigationType } from 'react-router';
import { tabHistory } from '../../trail/browser';
import { trailCalls } from '../../trail/calls';
import { Trail } from '../../trail/Trail';

/** The trail of this tab, and what it shows now. */
export function useTrail(project: string) {
  const location = useLocation();
  const moved = useNavigationType();
  const navigate = useNavigate();
  const [trail] = useState(() => new Trail(project, trailCalls(project), tabHistory(navigate)));
  useEffect(() => {
    const address = location.pathname + location.search;
    void trail.arrive({ address, state: location.state, popped: moved === 'POP' });
  }, [trail, location, moved]);
  useEffect(() => trail.stop, [trail]);
  useEffect(() => {
    // Shown again from the browser's own cache: what it shows may be long past.
    const back = (e: PageTransitionEvent) => e.persisted && void trail.reload();
    window.addEventListener('pageshow', back);
    return () => window.removeEventListener('pageshow', back);
  }, [trail]);
  return { trail, ...useSyncExternalStore(trail.subscribe, trail.snapshot) };
}

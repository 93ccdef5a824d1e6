import { useEffect } from 'react';
import type { ElementView, Problem, Shown, View } from '../api/client';
import type { TrailHands } from './useTrail';

interface LiveEvent {
  n: number;
  revision: number;
  elements: ElementView[];
}

/** Puts live values into the shown screen as they come; after a gap the screen is loaded again. */
export function useLive(project: string, trail: TrailHands) {
  const { shown, setShown, reload } = trail;
  const live = shown?.live ?? false;
  const id = shown?.trail;
  const n = shown?.n;
  const overlay = !!shown?.overlay;
  useEffect(() => {
    if (!live || !id || n === undefined) return;
    const query = new URLSearchParams({ trail: id, n: String(n), ...(overlay ? { overlay: 'true' } : {}) });
    const events = new EventSource(`/api/use/${project}/events?${query}`);
    let broken = false;
    events.addEventListener('open', () => {
      if (broken) void reload();
      broken = false;
    });
    events.addEventListener('error', () => {
      broken = true;
      setShown((s) => s && stale(s));
    });
    events.addEventListener('live', (e) => {
      const event: LiveEvent = JSON.parse(e.data);
      setShown((s) => (s && s.trail === id && s.n === event.n ? merge(s, event.elements, overlay) : s));
    });
    events.addEventListener('ended', () => void reload());
    events.addEventListener('refused', (e) => {
      const problem: Problem = JSON.parse(e.data);
      events.close();
      void reload();
      console.info(problem.what);
    });
    return () => events.close();
  }, [live, id, n, overlay, project, reload, setShown]);
}

function merge(s: Shown, changed: ElementView[], overlay: boolean): Shown {
  const put = (v: View): View => {
    const byId = new Map(changed.map((e) => [e.id, e]));
    const elements = v.elements.filter((e) => byId.get(e.id)?.state !== 'gone').map((e) => byId.get(e.id) ?? e);
    const known = new Set(elements.map((e) => e.id));
    return { ...v, elements: [...elements, ...changed.filter((e) => e.state !== 'gone' && !known.has(e.id))] };
  };
  return overlay && s.overlay ? { ...s, overlay: put(s.overlay) } : { ...s, view: put(s.view) };
}

/** Nothing comes in any more: live values are not shown as if they were still true. */
function stale(s: Shown): Shown {
  const reason = 'the server does not answer';
  const dim = (e: ElementView): ElementView => {
    if (e.gauge)
      return { ...e, reason, gauge: { ...e.gauge, state: 'unknown', value: undefined, set: undefined, shown: '–' } };
    if (e.lamp) return { ...e, reason, lamp: { ...e.lamp, state: 'unknown', shown: 'not available', abnormal: false } };
    if (e.button?.writes) return { ...e, state: 'greyed', reason };
    return e;
  };
  return { ...s, view: { ...s.view, elements: s.view.elements.map(dim) } };
}

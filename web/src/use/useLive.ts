import { useEffect } from 'react';
import type { ElementView, Shown, View } from '../api/client';
import { depthOf } from './pointer';
import type { TrailHands } from './useTrail';

interface LiveEvent {
  n: number;
  revision: number;
  elements: ElementView[];
}

const silence = 6000; // ms; the server says something every two seconds

/** Puts live values into the shown screen as they come; after a gap the screen is loaded again. */
export function useLive(project: string, trail: TrailHands) {
  const { shown, setShown, reload } = trail;
  const live = shown?.live ?? false;
  const id = shown?.trail;
  const n = shown?.n;
  const depth = shown ? depthOf(shown) : 0;
  useEffect(() => {
    if (!live || !id || n === undefined) return;
    const query = new URLSearchParams({ trail: id, n: String(n), depth: String(depth) });
    const url = `/api/use/${project}/events?${query}`;
    let events: EventSource | undefined;
    let heard = Date.now();
    let broken = false;
    const lose = () => {
      broken = true;
      setShown((s) => s && stale(s));
    };
    const listen = () => {
      events?.close();
      events = new EventSource(url);
      events.addEventListener('open', () => {
        heard = Date.now();
        if (broken) void reload();
        broken = false;
      });
      events.addEventListener('error', lose);
      events.addEventListener('alive', () => {
        heard = Date.now();
      });
      events.addEventListener('live', (e) => {
        heard = Date.now();
        const event: LiveEvent = JSON.parse(e.data);
        setShown((s) => (s && s.trail === id && s.n === event.n ? merge(s, event.elements, depth) : s));
      });
      events.addEventListener('ended', () => void reload());
      events.addEventListener('refused', () => {
        events?.close();
        void reload();
      });
    };
    listen();
    // A connection can be there and say nothing: then values are not believed either.
    const watch = setInterval(() => {
      if (Date.now() - heard < silence) return;
      heard = Date.now();
      lose();
      listen();
    }, 1000);
    return () => {
      clearInterval(watch);
      events?.close();
    };
  }, [live, id, n, depth, project, reload, setShown]);
}

function merge(s: Shown, changed: ElementView[], depth: number): Shown {
  const put = (v: View): View => {
    const byId = new Map(changed.map((e) => [e.id, e]));
    const elements = v.elements.filter((e) => byId.get(e.id)?.state !== 'gone').map((e) => byId.get(e.id) ?? e);
    const known = new Set(elements.map((e) => e.id));
    return { ...v, elements: [...elements, ...changed.filter((e) => e.state !== 'gone' && !known.has(e.id))] };
  };
  if (depth === 0) return { ...s, view: put(s.view) };
  return { ...s, overlays: s.overlays?.map((o, i) => (i === depth - 1 ? { ...o, view: put(o.view) } : o)) };
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

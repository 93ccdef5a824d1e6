const held = new Set<string>();
const patience = 300; // ms: a page that is being loaded again lets go of its claim by then

/**
 * Claims a trail for this tab, for as long as the tab lives. A duplicated tab does not get it:
 * it has to go its own way. Where the browser has no locks every tab gets what it asks for.
 */
export function claim(trail: string): Promise<boolean> {
  if (held.has(trail) || !navigator.locks) return Promise.resolve(true);
  return new Promise((answer) => {
    const stop = new AbortController();
    const timer = setTimeout(() => stop.abort(), patience);
    navigator.locks
      .request(`ambergate.trail.${trail}`, { signal: stop.signal }, () => {
        clearTimeout(timer);
        held.add(trail);
        answer(true);
        return new Promise<never>(() => {}); // until the tab is closed
      })
      .catch(() => answer(false));
  });
}

const held = new Set<string>();
const patience = 300; // ms: a page that is being loaded again lets go of its claim by then
const step = 50; // ms between tries

/**
 * Claims a trail for this tab, for as long as the tab lives. A duplicated tab does not get it:
 * it has to go its own way. Where the browser has no locks every tab gets what it asks for.
 */
export async function claim(trail: string): Promise<boolean> {
  if (!navigator.locks) return true;
  for (let waited = 0; ; waited += step) {
    // The browser says whether it is free, however long a busy one takes to say so: giving up by a clock, a tab would
    // be without the claim that nobody else has.
    if (held.has(trail) || (await take(trail))) return true;
    if (waited >= patience) return false;
    await new Promise((done) => setTimeout(done, step));
  }
}

/** Takes the claim if nobody has it, until the tab is closed. */
function take(trail: string): Promise<boolean> {
  return new Promise((answer) => {
    navigator.locks
      .request(`ambergate.trail.${trail}`, { ifAvailable: true }, (lock) => {
        if (lock) held.add(trail);
        answer(lock !== null);
        return lock ? new Promise<never>(() => {}) : undefined;
      })
      .catch(() => answer(false));
  });
}

import { useEffect, useState } from 'react';

const settled = 2000; // ms: what ends sooner is not told

/** Since when something is so, at the clock of the browser; nothing while it is not, or has been for a moment only. */
export function useSince(is: boolean): string | undefined {
  const [since, setSince] = useState<string>();
  useEffect(() => {
    if (!is) {
      setSince(undefined);
      return;
    }
    const began = new Date().toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
    const timer = setTimeout(() => setSince(began), settled);
    return () => clearTimeout(timer);
  }, [is]);
  return since;
}

import { useEffect } from 'react';

/** Leads to a part of the screen on arrival: it is scrolled to, and what can be used in it has the focus. */
export function useSpot(spot: string | undefined, place: string) {
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each arrival
  useEffect(() => {
    if (!spot) return;
    const [element = '', row] = spot.split('/');
    // After the heading has had its focus, which every arrival gives it.
    const settle = setTimeout(() => {
      const part = document.querySelector<HTMLElement>(`[data-is="${CSS.escape(element)}"]`);
      if (!part) return;
      part.scrollIntoView({ block: 'center' });
      const inside = row ? (part.querySelector('[aria-current]') ?? part) : part;
      inside
        .querySelector<HTMLElement>('a, button, input, textarea, select, [tabindex="0"]')
        ?.focus({ preventScroll: true });
    }, 60);
    return () => clearTimeout(settle);
  }, [spot, place]);
}

import type { WayView } from '../api/client';

const seen = { capture: true, passive: true };

/** What shows that somebody is there; a clip that runs to its end is looked at, too. */
const touches = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart', 'timeupdate'] as const;

/**
 * Sets off ways some time after arriving, or after the last touch; gives what ends that. Where it is
 * not the time for it, because something lies over the screen, one that waits for rest waits again.
 */
export function startTimers(ways: WayView[], setOff: (way: string) => boolean, page: EventTarget): () => void {
  const ends = ways
    .filter((w) => w.trigger === 'time')
    .map((w) => {
      const ms = (w.after ?? 0) * 1000;
      let timer = setTimeout(fire, ms);
      function fire() {
        if (!setOff(w.id) && w.since === 'touch') again();
      }
      function again(event?: Event) {
        if (event?.type === 'timeupdate' && (event.target as Partial<HTMLMediaElement>).loop) return;
        clearTimeout(timer);
        timer = setTimeout(fire, ms);
      }
      if (w.since === 'touch') for (const touch of touches) page.addEventListener(touch, again, seen);
      return () => {
        clearTimeout(timer);
        for (const touch of touches) page.removeEventListener(touch, again, seen);
      };
    });
  return () => {
    for (const end of ends) end();
  };
}

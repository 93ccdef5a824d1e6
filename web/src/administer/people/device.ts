import type { DeviceInfo } from '../../api/client';

const minute = 60_000; // ms

/** How it stands with a display, in words. */
export function deviceState(d: DeviceInfo, now: number): { words: string; bad?: boolean } {
  if (!d.enrolled) {
    return d.codeEnds && Date.parse(d.codeEnds) > now
      ? { words: `waits for its code, until ${clock(d.codeEnds)}` }
      : { words: 'its code has run out', bad: true };
  }
  if (!d.seen) return { words: 'was never there', bad: true };
  const away = now - Date.parse(d.seen);
  if (away < 3 * minute) return { words: 'is there' };
  return { words: `was there ${date(d.seen)}`, bad: away > 15 * minute };
}

const clock = (at: string) => new Date(at).toLocaleTimeString('en-GB', { timeStyle: 'short' });
const date = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

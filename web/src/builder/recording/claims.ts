import type { View } from '../../api/client';
import type { Recorded } from '../../trail/recorded';

/** Something that can be claimed of what one looks at, in words. */
export interface Claim {
  words: string;
  step: Recorded;
}

/** What can be claimed of an element as it stands on the screen: how it is, how many rows it has, what it shows. */
export function claimsOf(view: View | undefined, element: string | undefined): Claim[] {
  const all = [...(view?.elements ?? []), ...(view?.rails ?? []).flatMap((r) => r.elements)];
  const e = all.find((one) => one.id === element);
  if (!view || !e) return [];
  const about = { does: 'claim' as const, screen: view.screen, element: e.id };
  const out: Claim[] = [];
  if (e.state === 'greyed' || e.state === 'hidden') {
    const reason = e.reason ? `: ${e.reason}` : '';
    out.push({
      words: `it is ${e.state}${reason}`,
      step: { ...about, is: e.state, ...(e.reason && { words: e.reason }) },
    });
    return out;
  }
  out.push({ words: 'it is open', step: { ...about, is: 'open' } });
  if (e.kind === 'list' && e.list.count !== undefined && !e.list.more) {
    const { count } = e.list;
    out.push({ words: `it has ${count} ${count === 1 ? 'row' : 'rows'}`, step: { ...about, is: 'rows', count } });
  }
  const shows =
    e.kind === 'field' ? e.field.words : e.kind === 'button' ? e.button.words : e.kind === 'text' ? e.text.words : '';
  if (shows) out.push({ words: `it shows “${cut(shows)}”`, step: { ...about, is: 'reads', words: shows } });
  return out;
}

/** The claim of the screen’s own heading. */
export function headingClaim(view: View): Claim {
  return {
    words: `the heading is “${cut(view.heading)}”`,
    step: { does: 'claim', is: 'at', screen: view.screen, words: view.heading },
  };
}

function cut(words: string): string {
  return words.length > 48 ? `${words.slice(0, 47)}…` : words;
}

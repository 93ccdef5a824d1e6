import type { PersonInfo } from '../../api/client';

/** How it stands with a person, in words. */
export function stateOf(p: PersonInfo): { words: string; bad?: boolean } {
  if (p.disabled) return { words: 'kept out', bad: true };
  if (!p.password && p.invited) return { words: 'invited' };
  if (!p.password) return { words: 'the link has run out', bad: true };
  if (p.failed >= 3) return { words: `${p.failed} failed attempts`, bad: true };
  if (p.sessions > 0) return { words: p.sessions === 1 ? 'signed in' : `signed in ${p.sessions} times` };
  return { words: '' };
}

/** The address that a link has, for somebody to be given. */
export const linkOf = (token: string) => `${window.location.origin}/join#${token}`;

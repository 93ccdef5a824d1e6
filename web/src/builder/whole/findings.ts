import type { Draft, Finding, Mend, Op } from '../../api/client';

/** Those that nobody lives with. */
export function openFindings(draft: Draft): Finding[] {
  return draft.findings.filter((f) => !f.accepted);
}

/** Those of them that something is to be done about: what is only worth knowing is not counted. */
export function toMend(draft: Draft): Finding[] {
  return openFindings(draft).filter((f) => f.severity !== 'note');
}

/** What tells one finding from another. */
export function keyOf(f: Finding): string {
  return [f.check, f.screen, f.entity, f.element, f.trigger, f.words].join('|');
}

/** A check as people say it: no way back. */
export function checkWords(check: string): string {
  return check.replaceAll('-', ' ');
}

/** What of the findings is shown. */
export interface Shown {
  severity: string; // "" for all
  check: string;
  screen: string;
  accepted: boolean; // those that somebody lives with, too
}

export function shownFindings(all: Finding[], s: Shown): Finding[] {
  return all.filter(
    (f) =>
      (s.accepted || !f.accepted) &&
      (!s.severity || f.severity === s.severity) &&
      (!s.check || f.check === s.check) &&
      (!s.screen || f.screen === s.screen),
  );
}

/** One mend for several findings of the same kind. */
export interface Several {
  words: string;
  check: string;
  count: number;
  patch: Op[];
}

/** The mends that several of the findings have alike, each as one edit. */
export function mendsForSeveral(found: Finding[]): Several[] {
  const by = new Map<string, Several>();
  for (const f of found) {
    const first: Mend | undefined = f.mends?.find((m) => m.patch);
    if (!first?.patch || f.accepted) continue;
    const key = `${f.check}|${first.words}`;
    const so = by.get(key) ?? { words: first.words, check: f.check, count: 0, patch: [] };
    so.count++;
    so.patch = [...so.patch, ...first.patch];
    by.set(key, so);
  }
  return [...by.values()].filter((s) => s.count > 1 && s.patch.length <= 500);
}

/** The edit that accepts a finding. */
export function acceptance(id: string, f: Finding, because: string, by: string, pos: number): Op {
  const { check, words } = f;
  const place = Object.fromEntries(
    (['screen', 'entity', 'element', 'trigger', 'evidence'] as const).flatMap((k) => (f[k] ? [[k, f[k]]] : [])),
  );
  const at = new Date().toISOString();
  return { op: 'add', path: `/${id}`, value: { kind: 'acceptance', pos, check, words, ...place, because, by, at } };
}

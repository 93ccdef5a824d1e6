import type { Op } from '../../../api/client';
import type { CallUp, Document } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { inputsOf, type ScreenDoc, screensOf } from '../../../document/screens';

/** The input of a screen that takes the record of a call-up: its own record first. */
export function inputFor(s: ScreenDoc | undefined, table: string | undefined): string | undefined {
  if (!s || !table) return undefined;
  const fitting = inputsOf(s).filter((i) => i.table === table);
  return (fitting.find((i) => i.id === s.record) ?? fitting[0])?.id;
}

/** The screens that a call-up can bring to the front: those that need nothing that it does not bring along. */
export function screensFor(d: Document, table: string | undefined): ScreenDoc[] {
  return screensOf(d).filter((s) => {
    const given = inputFor(s, table);
    return inputsOf(s).every((i) => !i.required || i.id === given);
  });
}

/** Leads a call-up to another screen, with the record that that takes. */
export function leadTo(d: Document, id: string, table: string | undefined, screen: ScreenDoc): Op[] {
  return [...put(d, [id, 'screen'], screen.id), ...put(d, [id, 'input'], inputFor(screen, table))];
}

/** One of a set is ticked, or not any more; an empty set says nothing. */
export function ticked(was: CallUp['roles'], one: string): Record<string, boolean> | undefined {
  const { [one]: had, ...others } = was ?? {};
  const now = had ? others : { ...others, [one]: true };
  return Object.keys(now).length > 0 ? now : undefined;
}

/** How it is with a call-up now, in words. */
export function nowWords(now: { of: number; on: string[]; unknown?: string }): string {
  if (now.of === 0) return 'Now: there is no record to ask it of.';
  if (now.on.length > 0) return `Now it holds: ${now.on.join(', ')}.`;
  if (now.unknown) return `Now it is not known: ${now.unknown}.`;
  return now.of > 1 ? `Now it holds for none of ${now.of}.` : 'Now it does not hold.';
}

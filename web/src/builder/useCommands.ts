import { useMemo } from 'react';
import type { Draft } from '../api/client';
import { isReleasable } from '../document/project';
import { useSteady } from '../ui/useSteady';
import type { Command } from './finding';
import type { DraftHands } from './useDraft';

interface Doing {
  draft: Draft;
  hands: DraftHands;
  onScreens: () => void;
  onView: (view: string, item?: string) => void;
  onMake: () => void;
  onKeys: () => void;
}

/** What can be done from everywhere, by its words in the finder. */
export function useCommands(doing: Doing): Command[] {
  const { draft } = doing;
  const run = useSteady((id: string) => {
    const { hands } = doing;
    const by: Record<string, () => void> = {
      make: doing.onMake,
      screens: doing.onScreens,
      map: () => doing.onView('map'),
      reach: () => doing.onView('reach'),
      findings: () => doing.onView('findings'),
      walks: () => doing.onView('walks'),
      keys: doing.onKeys,
      undo: () => hands.undo.mutate(),
      redo: () => hands.redo.mutate(),
      release: () => doing.onView('releases'),
      history: () => doing.onView('releases', 'history'),
    };
    by[id]?.();
  });
  const { undo, redo } = draft;
  const releasable = isReleasable(draft);
  return useMemo(() => {
    const all: [id: string, words: string, key: string | undefined, can: boolean][] = [
      ['make', 'new screen …', undefined, true],
      ['screens', 'list of screens', 'Ctrl+B', true],
      ['map', 'map: all screens and ways', undefined, true],
      ['reach', 'reach: who gets where', undefined, true],
      ['findings', 'findings', undefined, true],
      ['walks', 'walks: gone again', undefined, true],
      ['undo', 'undo my last edit', 'Ctrl+Z', undo],
      ['redo', 'redo', 'Ctrl+Shift+Z', redo],
      ['release', releasable ? 'release …' : 'releases', undefined, true],
      ['history', 'history: who changed what', undefined, true],
      ['keys', 'the keys', '?', true],
    ];
    return all.flatMap(([id, words, key, can]) => (can ? [{ id: `do.${id}`, words, key, does: () => run(id) }] : []));
  }, [run, undo, redo, releasable]);
}

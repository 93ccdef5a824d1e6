import { elementsOf } from '../../../document/screens';
import type { TargetKind } from './target';

/** The steps of a guided task on the screen. */
export const task: TargetKind = ({ entities, screen }) => {
  if (!elementsOf(entities, screen).some((e) => e.kind === 'steps')) return [];
  const group = 'Along the steps';
  return [
    {
      id: 'task.next',
      words: 'go to the next step',
      note: 'once this one is complete',
      glyph: 'forward',
      group,
      move: { kind: 'task', to: 'next' },
    },
    {
      id: 'task.back',
      words: 'go back a step',
      note: 'what was typed stays',
      glyph: 'back',
      group,
      move: { kind: 'task', to: 'back' },
    },
    {
      id: 'task.leave',
      words: 'leave the steps',
      note: 'to where they were begun',
      glyph: 'close',
      group,
      move: { kind: 'task', to: 'leave' },
    },
  ];
};

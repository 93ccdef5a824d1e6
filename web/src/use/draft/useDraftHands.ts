import type { Shown } from '../../api/client';
import type { Calls } from '../../trail/calls';
import type { Draft } from '../../trail/Draft';
import { layerOf } from '../../trail/shown';
import type { Showing } from '../useShowing';

interface DraftProps {
  draft: Draft;
  depth: number;
  call: Calls;
  showing: Showing;
}

/** What can be done with what was typed before, here or in another tab. */
export function useDraftHands({ draft, depth, call, showing }: DraftProps) {
  const adopt = (next: Shown | undefined) => {
    const layer = next && layerOf(next, depth);
    if (!layer) return;
    draft.adopt(layer.draft);
    draft.restart(layer.view, layer.draft);
  };
  /** Takes over a draft and puts what stands here in its stead. */
  const keepOwn = (next: Shown | undefined) => {
    if (!next) return;
    draft.adopt(layerOf(next, depth)?.draft);
    void draft.flush();
  };
  return {
    onTake: (id: string) => void showing(() => call.takeDraft(id)).then(adopt),
    onForget: (id?: string) => void showing(() => call.forgetDraft(id ?? draft.kept ?? '')).then(adopt),
    /** With what was typed in the other tab, or in this one. */
    onTakeBack: (as: 'there' | 'here') =>
      void showing(() => call.takeDraft(draft.kept ?? '')).then(as === 'there' ? adopt : keepOwn),
  };
}

import type { Op } from '../../../api/client';
import type { Json } from '../../edit';
import type { WayRef } from '../wiring';
import type { Standing } from './EffectFrame';

/** What the form of an action is given: the action as it is, if it is there already. */
export interface FormProps {
  wayRef: WayRef;
  effect?: Json;
  standing?: Standing;
  onClose: () => void;
  onDone: (effect: Record<string, Json>, also?: Op[]) => void;
}

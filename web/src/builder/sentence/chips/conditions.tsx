import type { Op } from '../../../api/client';
import { newId } from '../../../document/edit';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { shareOf } from '../../condition/share';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { caseId, caseOf, casePos, gateOf, putGate, spotOf, type WayRef } from '../wiring';
import type { ChipProps } from './chip';

interface ConditionProps {
  label: string;
  stored: string;
  none: string;
  wayRef: WayRef;
  onClose: () => void;
  save: (stored: string | undefined) => Op[];
}

/** A condition of the way. */
function Condition({ label, stored, none, wayRef, onClose, save }: ConditionProps) {
  const build = useBuild();
  return (
    <Pop onClose={onClose} label={label}>
      <ConditionEditor
        spot={spotOf(wayRef, build.as)}
        stored={stored}
        none={none}
        share={wayRef.shared ? undefined : shareOf(build, wayRef.element)}
        onClose={onClose}
        onSave={(now) => {
          onClose();
          void build.edit(save(now));
        }}
      />
    </Pop>
  );
}

/** While what holds it is open. */
export function WhilePicker({ wayRef, onClose }: ChipProps) {
  return (
    <Condition
      label="Condition"
      stored={gateOf(wayRef)?.while ?? ''}
      none="No condition"
      wayRef={wayRef}
      onClose={onClose}
      save={(now) => putGate(wayRef, ['while'], now)}
    />
  );
}

/** When a case is taken. */
export function WhenPicker({ chunk, wayRef, onClose }: ChipProps) {
  const id = chunk.case || caseId(wayRef);
  return (
    <Condition
      label="This case"
      stored={caseOf(wayRef, id)?.when ?? ''}
      none="In every other case"
      wayRef={wayRef}
      onClose={onClose}
      save={(now) => putGate(wayRef, ['cases', id, 'when'], now)}
    />
  );
}

/** A further case. */
export function AnotherCase({ wayRef, onClose }: ChipProps) {
  return (
    <Condition
      label="Another case"
      stored=""
      none="Cancel"
      wayRef={wayRef}
      onClose={onClose}
      save={(now) => (now ? addCase(wayRef, now) : [])}
    />
  );
}

/** A further case for when a condition holds: before the one that holds in every other case. */
export function addCase(w: WayRef, when: string): Op[] {
  return putGate(w, ['cases', newId('c')], { pos: casePos(w), when });
}

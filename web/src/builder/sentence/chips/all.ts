import { EffectPicker } from '../effects/parts/EffectPicker';
import { TargetPicker } from '../targets/TargetPicker';
import { ArrivePicker } from './arrive/ArrivePicker';
import { BindPicker } from './BindPicker';
import { CarryPicker } from './CarryPicker';
import type { Chip, WayPart } from './chip';
import { AsPicker, ModePicker } from './choices';
import { AnotherCase, WhenPicker, WhilePicker } from './conditions';
import { NonePicker } from './NonePicker';
import { Note } from './Note';
import { OtherwisePicker } from './OtherwisePicker';
import { ResultPicker } from './ResultPicker';
import { RolesPicker } from './RolesPicker';
import { RowSpotPicker } from './RowSpotPicker';
import { SharedPicker } from './SharedPicker';
import { SpotPicker } from './SpotPicker';
import { TriggerPicker } from './TriggerPicker';
import { ByPicker, WithPicker } from './values';
import { ConfirmPicker } from './words';

/** What each part of a way's sentence can be changed to: one that is missing here does not compile. */
export const chips: { [P in WayPart]: Chip } = {
  trigger: TriggerPicker,
  roles: RolesPicker,
  while: WhilePicker,
  when: WhenPicker,
  use: SharedPicker,
  give: BindPicker,
  do: EffectPicker,
  target: TargetPicker,
  record: BindPicker,
  none: NonePicker,
  by: ByPicker,
  with: WithPicker,
  carry: CarryPicker,
  spot: SpotPicker,
  spotRow: RowSpotPicker,
  mode: ModePicker,
  as: AsPicker,
  back: Note, // leads to a way of its own instead
  result: ResultPicker,
  otherwise: OtherwisePicker,
  confirm: ConfirmPicker,
  arrive: ArrivePicker,
  '+case': AnotherCase,
  '+share': SharedPicker,
};

/** Whether a piece of a sentence is a chip of a way. */
export function isWayPart(part: string | undefined): part is WayPart {
  return part !== undefined && part in chips;
}

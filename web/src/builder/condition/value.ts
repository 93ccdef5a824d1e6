import type { ConditionRow, NameInfo } from '../../api/client';
import type { Spot } from './spot';

/** What the value of a row is given. */
export interface ValueProps {
  spot: Spot;
  names: NameInfo[];
  name: NameInfo | undefined;
  row: ConditionRow;
  onChange: (r: ConditionRow) => void;
}

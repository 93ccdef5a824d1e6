import type { Op } from '../../../document/edit';
import { type Reached, reachedOf } from '../../../document/tables';
import { useBuild } from '../../context';
import { ChosenPart } from './ChosenPart';

interface FieldPartProps {
  path: string[];
  name: string;
  label: string;
  value: string | undefined;
  table: string;
  /** Which fields it can be. */
  only: (f: Reached) => boolean;
  /** What stands for none; it has to be one where this is missing. */
  none?: string;
  also?: (path: string) => Op[] | Promise<Op[]>;
}

/** A part of an element that is a field of a table, or of a record that it refers to. */
export function FieldPart({ table, only, none, ...part }: FieldPartProps) {
  const { entities } = useBuild();
  const fields = reachedOf(entities, table).filter(only);
  const among = fields.map((f) => [f.path, f.label] as const);
  return <ChosenPart {...part} among={none === undefined ? among : [['', none], ...among]} />;
}

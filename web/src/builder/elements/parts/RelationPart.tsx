import { entityOf } from '../../../document/parts';
import { recordTable, screenOf } from '../../../document/screens';
import { fieldsOf } from '../../../document/tables';
import { useBuild } from '../../context';
import { ChosenPart } from './ChosenPart';

interface RelationPartProps {
  path: string[];
  element: { table: string; relation?: string };
  label: string;
}

/** Which records an element is about: all, or those that belong to the screen's own. Told only where there is a choice. */
export function RelationPart({ path, element: e, label }: RelationPartProps) {
  const { entities, screen } = useBuild();
  const own = recordTable(screenOf(entities, screen));
  const one = entityOf(entities, own, 'table')?.one;
  const relations = fieldsOf(entityOf(entities, e.table, 'table')).filter((f) => own && f.references === own);
  if (relations.length === 0) return null;
  const those = relations.map((f) => [f.id, `those whose ${f.label.toLowerCase()} is this ${one}`] as const);
  return (
    <ChosenPart
      path={path}
      name="relation"
      label={label}
      value={e.relation}
      among={[['', 'all that there are'], ...those]}
    />
  );
}

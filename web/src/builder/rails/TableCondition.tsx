import { put, text } from '../../document/edit';
import { ConditionEditor } from '../condition/ConditionEditor';
import { useBuild } from '../context';
import { Pop } from '../Pop';

/** On which records of a table a rail stands. */
export function TableCondition({ rail, table, onClose }: { rail: string; table: string; onClose: () => void }) {
  const { project, as, entities, edit } = useBuild();
  const path = [rail, 'placed', 'tables', table];
  return (
    <Pop label="Only while" onClose={onClose}>
      <ConditionEditor
        spot={{ project, as, table, use: 'shared' }}
        stored={text(entities, ...path)}
        none="On all of them"
        share={undefined}
        onClose={onClose}
        onSave={(stored) => {
          onClose();
          void edit(put(entities, path, stored ?? ''));
        }}
      />
    </Pop>
  );
}

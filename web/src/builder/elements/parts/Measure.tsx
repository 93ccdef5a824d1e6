import { put } from '../../../document/edit';
import { isKey, type Reached, reachedOf } from '../../../document/tables';
import { Select } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { useBuild } from '../../context';
import { FieldPart } from './Fields';
import { isSized, measures } from './measures';

interface MeasureProps {
  path: string[]; // of the element
  element: { table: string; measure?: string; of?: string; split?: string };
  label?: string; // Shows
}

/** What an element tells of records: how many there are, or what one of their fields comes to. */
export function Measure({ path, element: e, label = 'Shows' }: MeasureProps) {
  const { entities, edit } = useBuild();
  const sized = (f: Reached) => isSized(f) && !isKey(entities, e.table, f.path);
  const fields = reachedOf(entities, e.table).filter(sized);
  const set = (to: string) => {
    const of = e.of ?? fields[0]?.path;
    if (to !== '' && !of) return;
    const parts = to === '' || to === 'sum';
    void edit([
      ...put(entities, [...path, 'measure'], to || undefined),
      ...put(entities, [...path, 'of'], to ? of : undefined),
      ...(parts ? [] : put(entities, [...path, 'split'], undefined)), // only a count or a sum has parts
    ]);
  };
  const counts = !e.measure || e.measure === 'count';
  return (
    <>
      <Labelled label={label}>
        <Select aria-label={label} value={counts ? '' : e.measure} onChange={(x) => set(x.target.value)}>
          {measures
            .filter(([id]) => id === '' || fields.length > 0)
            .map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
        </Select>
      </Labelled>
      {!counts && (
        <FieldPart
          path={path}
          name="of"
          label={label === 'Shows' ? 'Of which field' : `${label}: of which field`}
          value={e.of}
          table={e.table}
          only={sized}
        />
      )}
    </>
  );
}

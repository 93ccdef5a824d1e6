import { put } from '../../document/edit';
import { reachedOf } from '../../document/tables';
import { Select } from '../../ui/controls';
import { Labelled } from '../../ui/Labelled';
import { useBuild } from '../context';
import type { BuiltElement, LookProps } from './element';
import { ChosenPart } from './parts/ChosenPart';
import { Measure } from './parts/Measure';
import { isDated, spans } from './parts/measures';
import { RelationPart } from './parts/RelationPart';
import { TypedPart } from './parts/TypedPart';

export const total: BuiltElement<'total'> = {
  words: (e) => e.words,
  starts: [{ trigger: 'release', at: 'gate', words: 'when it is pressed' }],
  Look: TotalLook,
};

/** What a number comes to, of which records, and of which time. */
function TotalLook({ path, element: e }: LookProps<'total'>) {
  const { entities, edit } = useBuild();
  const dates = reachedOf(entities, e.table).filter(isDated);
  const when = (to: string) =>
    void edit([
      ...put(entities, [...path, 'when'], to || undefined),
      ...put(entities, [...path, 'span'], to ? (e.span ?? 'month') : undefined),
    ]);
  return (
    <>
      <TypedPart path={path} name="words" label="Words" value={e.words} width="200px" needed />
      <Measure path={path} element={e} />
      <RelationPart path={path} element={e} label="Of which records" />
      {dates.length > 0 && (
        <Labelled label="Of which time">
          <Select aria-label="Of which time" value={e.when ?? ''} onChange={(x) => when(x.target.value)}>
            <option value="">of all times</option>
            {dates.map((f) => (
              <option key={f.path} value={f.path}>
                now, by {f.label.toLowerCase()}
              </option>
            ))}
          </Select>
        </Labelled>
      )}
      {e.when && <ChosenPart path={path} name="span" label="This" value={e.span} among={spans} />}
    </>
  );
}

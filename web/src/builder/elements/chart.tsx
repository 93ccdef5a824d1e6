import { put } from '../../document/edit';
import { entityOf } from '../../document/parts';
import { fieldAlong, type Reached, reachedOf } from '../../document/tables';
import { Select } from '../../ui/controls';
import { Labelled } from '../../ui/Labelled';
import { useBuild } from '../context';
import type { BuiltElement, LookProps } from './element';
import { ChosenPart } from './parts/ChosenPart';
import { FieldPart } from './parts/Fields';
import { TypedPart } from './parts/TypedPart';

export const chart: BuiltElement<'chart'> = {
  tall: true,
  words: (e, entities) => e.label || entityOf(entities, e.table, 'table')?.label || '',
  menuOf: 'bars’',
  starts: [{ trigger: 'point', at: 'chosen', words: 'when a point is chosen' }],
  Look: ChartLook,
};

const dated = (f: Reached | undefined) => f?.field.type === 'date' || f?.field.type === 'moment';
const groups = (f: Reached) => dated(f) || ['yesno', 'record', 'text', 'whole'].includes(f.field.type);
const sized = (f: Reached) => ['whole', 'number', 'decimal'].includes(f.field.type) && f.field.references === undefined;

const measures = [
  ['', 'how many'],
  ['sum', 'the sum of'],
  ['mean', 'the average of'],
  ['most', 'the most of'],
] as const;

const spans = [
  ['day', 'days'],
  ['week', 'weeks'],
  ['month', 'months'],
] as const;

/** What a chart counts, by what, and of which records. */
function ChartLook({ path, element: e }: LookProps<'chart'>) {
  const { entities, edit } = useBuild();
  const by = fieldAlong(entities, e.table, e.by);
  const isDated = by?.type === 'date' || by?.type === 'moment';
  const measure = (to: string) => {
    const of = e.of ?? reachedOf(entities, e.table).find(sized)?.path;
    if (to !== '' && !of) return;
    void edit([
      ...put(entities, [...path, 'measure'], to || undefined),
      ...put(entities, [...path, 'of'], to ? of : undefined),
      ...(to === 'mean' || to === 'most' ? put(entities, [...path, 'split'], undefined) : []),
    ]);
  };
  return (
    <>
      <TypedPart path={path} name="label" label="Label" value={e.label} width="200px" />
      <Labelled label="Shows">
        <Select
          aria-label="Shows"
          value={e.measure === 'count' ? '' : (e.measure ?? '')}
          onChange={(x) => measure(x.target.value)}
        >
          {measures.map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Select>
      </Labelled>
      {e.measure && e.measure !== 'count' && (
        <FieldPart path={path} name="of" label="Of which field" value={e.of} table={e.table} only={sized} />
      )}
      <FieldPart path={path} name="by" label="For each" value={e.by} table={e.table} only={groups} />
      {isDated && <ChosenPart path={path} name="span" label="In" value={e.span ?? 'month'} among={spans} />}
      {(!e.measure || e.measure === 'count' || e.measure === 'sum') && (
        <FieldPart
          path={path}
          name="split"
          label="Each divided by"
          value={e.split}
          table={e.table}
          only={(f) => groups(f) && !dated(f) && f.path !== e.by}
          none="nothing"
        />
      )}
      <TypedPart path={path} name="points" label="At most" hint="12" value={e.points} number />
    </>
  );
}

import { put } from '../../document/edit';
import { entityOf } from '../../document/parts';
import { fieldAlong, type Reached } from '../../document/tables';
import { useBuild } from '../context';
import type { BuiltElement, LookProps } from './element';
import { ChosenPart } from './parts/ChosenPart';
import { EitherPart } from './parts/EitherPart';
import { FieldPart } from './parts/Fields';
import { Measure } from './parts/Measure';
import { isDated, spans } from './parts/measures';
import { TypedPart } from './parts/TypedPart';

export const chart: BuiltElement<'chart'> = {
  tall: true,
  words: (e, entities) => e.label || entityOf(entities, e.table, 'table')?.label || '',
  menuOf: 'bars’',
  starts: [{ trigger: 'point', at: 'chosen', words: 'when a point is chosen' }],
  Look: ChartLook,
};

const groups = (f: Reached) => isDated(f) || ['yesno', 'record', 'text', 'whole'].includes(f.field.type);

const shapes = [
  ['', 'bars'],
  ['columns', 'columns'],
  ['line', 'a line'],
  ['area', 'an area'],
  ['share', 'shares of one bar'],
  ['grid', 'a grid, by its parts'],
  ['table', 'a table'],
] as const;

const alongTime = [['', 'columns'], ['bars', 'bars'], ...shapes.slice(2)] as const;

/** What a chart counts, by what, and of which records. */
function ChartLook({ path, element: e }: LookProps<'chart'>) {
  const { entities } = useBuild();
  const by = fieldAlong(entities, e.table, e.by);
  const timed = by?.type === 'date' || by?.type === 'moment';
  const inTime = (to: string) => {
    const f = fieldAlong(entities, e.table, to);
    const span = f?.type === 'date' || f?.type === 'moment' ? (e.span ?? 'month') : undefined;
    return span === e.span ? [] : put(entities, [...path, 'span'], span);
  };
  return (
    <>
      <TypedPart path={path} name="label" label="Label" value={e.label} width="200px" />
      <Measure path={path} element={e} />
      <FieldPart path={path} name="by" label="For each" value={e.by} table={e.table} only={groups} also={inTime} />
      {timed && <ChosenPart path={path} name="span" label="Each" value={e.span ?? 'month'} among={spans} />}
      {timed && (
        <EitherPart path={path} name="before" label="Compared with" value={e.before} no="nothing" yes="a year before" />
      )}
      {(!e.measure || e.measure === 'count' || e.measure === 'sum') && (
        <FieldPart
          path={path}
          name="split"
          label="Each divided by"
          value={e.split}
          table={e.table}
          only={(f) => (f.field.type === 'yesno' || !!f.field.choices?.length) && f.path !== e.by}
          none="nothing"
        />
      )}
      <ChosenPart path={path} name="shape" label="Drawn as" value={e.shape} among={timed ? alongTime : shapes} />
      <TypedPart path={path} name="points" label="At most" hint="12" value={e.points} number />
      {!timed && (!e.measure || e.measure === 'count' || e.measure === 'sum') && (
        <EitherPart
          path={path}
          name="rest"
          label="What is beyond"
          value={e.rest}
          no="is left out"
          yes="is one more, “the rest”"
        />
      )}
    </>
  );
}

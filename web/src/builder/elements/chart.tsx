import type { Document } from '../../document/document.gen';
import { put } from '../../document/edit';
import { entityOf } from '../../document/parts';
import { fieldAlong, isKey, type Reached } from '../../document/tables';
import { useBuild } from '../context';
import type { BuiltElement, LookProps } from './element';
import { narrowsAnew, narrowsOwn } from './narrowsAnew';
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

const groups = (d: Document, table: string) => (f: Reached) =>
  !isKey(d, table, f.path) &&
  (isDated(f) || ['yesno', 'record', 'text', 'whole', 'number', 'decimal'].includes(f.field.type));

const divides = (f: Reached) =>
  isDated(f) || f.field.type === 'yesno' || !!f.field.references || !!f.field.choices?.length;

function isTimed(d: Document, table: string, path: string) {
  const type = fieldAlong(d, table, path)?.type;
  return type === 'date' || type === 'moment';
}

const shapes = [
  ['', 'bars'],
  ['columns', 'columns'],
  ['line', 'a line'],
  ['area', 'an area'],
  ['share', 'shares of one bar'],
  ['grid', 'a grid, by its parts'],
  ['dots', 'dots, by two measures'],
  ['table', 'a table'],
] as const;

const alongTime = [['', 'columns'], ['bars', 'bars'], ...shapes.slice(2)] as const;

/** What a chart counts, by what, and of which records. */
function ChartLook({ path, element: e }: LookProps<'chart'>) {
  const { project, screen, entities } = useBuild();
  const by = fieldAlong(entities, e.table, e.by);
  const timed = isTimed(entities, e.table, e.by);
  const ranged = by !== undefined && ['whole', 'number', 'decimal'].includes(by.type) && !by.references;
  const another = async (to: string) => {
    const f = fieldAlong(entities, e.table, to);
    const wide = f?.type === 'number' || f?.type === 'decimal' ? (e.step ?? 10) : undefined;
    const stepped = wide === e.step ? [] : put(entities, [...path, 'step'], wide);
    const span = f?.type === 'date' || f?.type === 'moment' ? (e.span ?? 'month') : undefined;
    const spanned = span === e.span ? [] : put(entities, [...path, 'span'], span);
    const narrows = narrowsOwn(screen, e) ? await narrowsAnew(project, entities, path, e.table, to) : [];
    return [...stepped, ...spanned, ...narrows];
  };
  return (
    <>
      <TypedPart path={path} name="label" label="Label" value={e.label} width="200px" />
      <Measure path={path} element={e} />
      <FieldPart
        path={path}
        name="by"
        label="For each"
        value={e.by}
        table={e.table}
        only={groups(entities, e.table)}
        also={another}
      />
      {ranged && (
        <TypedPart
          path={path}
          name="step"
          label="In ranges of"
          hint="each by itself"
          value={e.step}
          number
          needed={by.type !== 'whole'}
        />
      )}
      {timed && <ChosenPart path={path} name="span" label="Each" value={e.span ?? 'month'} among={spans} />}
      {timed && (
        <EitherPart path={path} name="before" label="Compared with" value={e.before} no="nothing" yes="a year before" />
      )}
      {!e.against && (!e.measure || e.measure === 'count' || e.measure === 'sum') && (
        <FieldPart
          path={path}
          name="split"
          label="Each divided by"
          value={e.split}
          table={e.table}
          only={(f) => divides(f) && f.path !== e.by && !isKey(entities, e.table, f.path)}
          none="nothing"
          also={(to) => put(entities, [...path, 'splitSpan'], isTimed(entities, e.table, to) ? 'month' : undefined)}
        />
      )}
      {e.splitSpan && <ChosenPart path={path} name="splitSpan" label="Each" value={e.splitSpan} among={spans} />}
      <ChosenPart
        path={path}
        name="shape"
        label="Drawn as"
        value={e.shape}
        among={timed ? alongTime : shapes}
        also={(to) => {
          // Dots have a second measure, and nothing else has.
          if (to === 'dots')
            return [...put(entities, [...path, 'against'], {}), ...put(entities, [...path, 'split'], undefined)];
          return ['against', 'size'].flatMap((part) => put(entities, [...path, part], undefined));
        }}
      />
      {e.against && (
        <>
          <Measure path={[...path, 'against']} element={{ table: e.table, ...e.against }} label="Higher by" />
          <EitherPart
            path={path}
            name="size"
            label="How large"
            value={e.size !== undefined}
            no="all the same"
            yes="by a measure"
            kept={{}}
          />
          {e.size && <Measure path={[...path, 'size']} element={{ table: e.table, ...e.size }} label="Larger by" />}
        </>
      )}
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

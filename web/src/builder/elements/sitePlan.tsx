import { put } from '../../document/edit';
import { inOrder } from '../../document/parts';
import { reachedOf, tablesOf } from '../../document/tables';
import { useBuild } from '../context';
import { KeptChip } from '../sentence/look/KeptChip';
import type { BuiltElement, LookProps } from './element';
import { ChosenPart } from './parts/ChosenPart';
import { FieldPart } from './parts/Fields';
import { FitPart } from './parts/FitPart';
import { MarksPart } from './parts/MarksPart';
import { isSized } from './parts/measures';
import { RelationPart } from './parts/RelationPart';
import { RowFaces } from './parts/RowFaces';
import { TypedPart } from './parts/TypedPart';

export const sitePlan: BuiltElement<'sitePlan'> = {
  tall: true,
  words: (e) => e.label ?? '',
  menuOf: 'points’',
  starts: [{ trigger: 'row', at: 'opened', words: 'when a point is pressed' }],
  startsOf: (e) =>
    inOrder(e.marks)
      .filter((m) => !m.gate)
      .map((m) => ({
        trigger: `mark.${m.id}`,
        at: `marks/${m.id}/gate`,
        words: `when the mark “${m.words}” is pressed`,
      })),
  Look: SitePlanLook,
};

/** The picture, which records lie where on it, how they look, and what is marked besides. */
function SitePlanLook({ path, element: e }: LookProps<'sitePlan'>) {
  const { entities } = useBuild();
  const tables = tablesOf(entities).map((t) => [t.id, t.label] as const);
  // The numbers that place them are chosen with the table: it cannot be without.
  const numbersOf = (table: string) => reachedOf(entities, table).filter(isSized);
  const placed = (table: string) => {
    const [x, y] = table ? numbersOf(table) : [];
    const ofRecords = ['relation', 'faces', ...(table ? [] : ['opened', 'menu'])];
    return [
      ...put(entities, [...path, 'across'], x?.path),
      ...put(entities, [...path, 'down'], (y ?? x)?.path),
      ...ofRecords.flatMap((part) => put(entities, [...path, part], undefined)),
    ];
  };
  const able = tables.filter(([id]) => id === e.table || numbersOf(id).length > 1);
  return (
    <>
      <TypedPart path={path} name="label" label="Label" value={e.label} width="200px" />
      <KeptChip path={[...path, 'picture']} needed={!e.table} />
      <ChosenPart
        path={path}
        name="table"
        label="Records on it"
        value={e.table}
        among={e.picture ? [['', 'none, marks alone'], ...able] : able}
        also={placed}
      />
      {e.table && (
        <>
          <RelationPart path={path} element={{ table: e.table, relation: e.relation }} label="Shows" />
          <FieldPart path={path} name="across" label="How far right" value={e.across} table={e.table} only={isSized} />
          <TypedPart path={path} name="left" label="At the left edge" hint="0" value={e.left} number />
          <TypedPart path={path} name="right" label="At the right edge" hint="100" value={e.right} number />
          <FieldPart path={path} name="down" label="How far down" value={e.down} table={e.table} only={isSized} />
          <TypedPart path={path} name="top" label="At the upper edge" hint="0" value={e.top} number />
          <TypedPart path={path} name="bottom" label="At the lower edge" hint="100" value={e.bottom} number />
          <FitPart path={path} element={e} />
          <RowFaces path={path} faces={e.faces} label="Faces of its points" />
        </>
      )}
      <MarksPart path={path} label="Fixed marks" marks={inOrder(e.marks)} />
    </>
  );
}

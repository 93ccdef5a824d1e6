import { Flex } from '@chakra-ui/react';
import { put } from '../../../document/edit';
import { entityOf, inOrder } from '../../../document/parts';
import { fieldsOf } from '../../../document/tables';
import { Labelled } from '../../../ui/Labelled';
import { useBuild } from '../../context';
import { OrderLines } from '../../sentence/chips/arrive/OrderLines';
import type { BuiltElement, LookProps } from '../element';
import { ChosenPart } from '../parts/ChosenPart';
import { EitherPart } from '../parts/EitherPart';
import { FieldPart } from '../parts/Fields';
import { RelationPart } from '../parts/RelationPart';
import { RowFaces } from '../parts/RowFaces';
import { TypedPart } from '../parts/TypedPart';
import { AddOrder } from './AddOrder';
import { Columns } from './Columns';

export const list: BuiltElement<'list'> = {
  tall: true,
  words: (e, entities) => e.label || entityOf(entities, e.table, 'table')?.label || '',
  menuOf: 'rows’',
  starts: [
    { trigger: 'row', at: 'opened', words: 'when a row is opened' },
    { trigger: 'several', at: 'several', words: 'what is done with ticked rows', many: 'New action' },
  ],
  Look: ListLook,
};

/** Which records a list shows, in which columns and which order. */
function ListLook({ path, element: e }: LookProps<'list'>) {
  const { entities, edit } = useBuild();
  const fields = fieldsOf(entityOf(entities, e.table, 'table'));
  const sorts = inOrder(e.order).map((o) => ({ path: o.path, desc: o.desc ?? false }));
  const order = (next: { path: string; desc: boolean }[]) =>
    void edit(
      put(
        entities,
        [...path, 'order'],
        next.length > 0
          ? Object.fromEntries(
              next.map((o, i) => [`o_${i + 1}`, { pos: i + 1, path: o.path, ...(o.desc ? { desc: true } : {}) }]),
            )
          : undefined,
      ),
    );
  return (
    <>
      <TypedPart path={path} name="label" label="Label" value={e.label} />
      <RelationPart path={path} element={e} label="Shows" />
      <Labelled label="Columns">
        <Flex gap="6px" wrap="wrap" align="center">
          <Columns
            at={[...path, 'columns']}
            columns={inOrder(e.columns)}
            table={e.table}
            entities={entities}
            edit={edit}
          />
        </Flex>
      </Labelled>
      <Labelled label="Order">
        <Flex gap="6px" wrap="wrap" align="center" maxW="520px">
          <OrderLines fields={fields} sorts={sorts} onSorts={order} />
          <AddOrder
            fields={fields.filter((f) => !sorts.some((s) => s.path === f.id))}
            onAdd={(p) => order([...sorts, { path: p, desc: false }])}
          />
        </Flex>
      </Labelled>
      <RowFaces path={path} faces={e.faces} label="Faces of its rows" />
      <FieldPart
        path={path}
        name="group"
        label="Under headings by"
        value={e.group}
        table={e.table}
        only={({ field }) => field.type !== 'json' && field.type !== 'picture'}
        none="none"
      />
      <ChosenPart path={path} name="height" label="Its rows are" value={e.height} among={heights} />
      <EitherPart
        path={path}
        name="cards"
        label="Where it is narrow"
        value={e.cards}
        no="it is moved sideways"
        yes="each row is a card"
      />
      <TypedPart path={path} name="rows" label="Rows at once" hint="50" value={e.rows} number />
      <EitherPart
        path={path}
        name="inPlace"
        label="Its rows"
        value={e.inPlace}
        no="are opened to be changed"
        yes="are changed where they stand"
      />
    </>
  );
}

const heights = [
  ['', 'as usual'],
  ['low', 'low'],
  ['tall', 'tall'],
] as const;

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Arrive, ArriveFilter } from '../../../../document/document.gen';
import { screenMove } from '../../../../document/gates';
import { entityOf, inOrder } from '../../../../document/parts';
import { mainListOf } from '../../../../document/screens';
import { fieldsOf } from '../../../../document/tables';
import { Action } from '../../../../ui/controls';
import { useBuild } from '../../../context';
import { EffectFrame } from '../../effects/parts/EffectFrame';
import { moveOf, putInMove } from '../../wiring';
import type { ChipProps } from '../chip';
import { NarrowingLine } from './NarrowingLine';
import { filterOf, howsOf, type Narrowing, narrowingOf } from './narrowing';
import { type Ordering, OrderLines } from './OrderLines';

/** What the list that is opened is narrowed and ordered by at first; whoever uses it can change that. */
export function ArrivePicker({ chunk, wayRef, onClose }: ChipProps) {
  const { entities, edit } = useBuild();
  const move = screenMove(moveOf(wayRef, chunk.case));
  const table = mainListOf(entities, move?.target)?.table;
  const fields = fieldsOf(entityOf(entities, table, 'table'));
  const now = move?.arrive;
  const said = inOrder(now?.filters).map(({ id, ...f }) => ({ id, f, n: narrowingOf(f) }));
  const others = said.filter((k) => !k.n); // they stay as they are
  const [lines, setLines] = useState<(Narrowing & { id: string })[]>(() => {
    const read = said.flatMap(({ id, n }) => (n ? [{ ...n, id }] : []));
    return read.length > 0 || now !== undefined ? read : [fresh(1)];
  });
  const [sorts, setSorts] = useState<Ordering[]>(() =>
    inOrder(now?.sort).map((o) => ({ path: o.path, desc: o.desc === true })),
  );
  const [problem, setProblem] = useState<string>();
  function fresh(n: number) {
    const f = fields.find((x) => x.choices) ?? fields[0];
    return { id: `a_${n}_${Date.now().toString(36)}`, path: f?.id ?? '', how: howsOf(f)[0]?.[0] ?? 'is', value: '' };
  }
  const put = (value: Arrive | undefined) => {
    onClose();
    void edit(putInMove(wayRef, chunk.case, ['arrive'], value));
  };
  const save = () => {
    const filters: Record<string, ArriveFilter> = Object.fromEntries(others.map(({ id, f }) => [id, f]));
    for (const [i, line] of lines.entries()) {
      const f = fields.find((x) => x.id === line.path);
      const made = filterOf(line, f, i + 1);
      if (typeof made === 'string') return setProblem(made);
      filters[line.id] = made;
    }
    const sort = Object.fromEntries(
      sorts.map((s, i) => [`a_${i + 1}`, { pos: i + 1, path: s.path, ...(s.desc ? { desc: true } : {}) }]),
    );
    const body = { ...(Object.keys(filters).length ? { filters } : {}), ...(sorts.length ? { sort } : {}) };
    put(Object.keys(body).length ? body : undefined);
  };
  return (
    <EffectFrame
      label="Narrowed at first"
      width="600px"
      problem={problem}
      onSave={save}
      onClose={onClose}
      standing={now === undefined ? undefined : { remove: () => put(undefined) }}
    >
      {lines.map((line, i) => (
        <NarrowingLine
          key={line.id}
          lead={i === 0 ? 'where' : 'and'}
          fields={fields}
          line={line}
          project={wayRef.project}
          onLine={(next) => setLines(lines.map((l) => (l === line ? { ...next, id: line.id } : l)))}
          onRemove={() => setLines(lines.filter((l) => l !== line))}
        />
      ))}
      {others.length > 0 && (
        <Box w="full" color="muted" fontSize="note">
          and {others.length} more that can be changed as text
        </Box>
      )}
      <OrderLines fields={fields} sorts={sorts} onSorts={setSorts} />
      <Flex gap="6px" w="full">
        <Action type="button" tone="quiet" onClick={() => setLines([...lines, fresh(lines.length + 1)])}>
          + narrow by a field
        </Action>
        <Action
          type="button"
          tone="quiet"
          onClick={() => {
            const free = fields.find((f) => !sorts.some((s) => s.path === f.id));
            if (free) setSorts([...sorts, { path: free.id, desc: false }]);
          }}
        >
          + order by a field
        </Action>
      </Flex>
    </EffectFrame>
  );
}

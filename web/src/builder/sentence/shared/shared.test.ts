import { expect, test } from 'vitest';
import type { Document, Gate } from '../../../document/document.gen';
import { at } from '../../../document/edit';
import { sharedGatesOf } from '../../../document/project';
import { project, recordInput } from '../../../document/testProject';
import { applied, ref } from '../testWay';
import { makeOwn } from './makeOwn';
import { makeShared } from './makeShared';

const own: Gate = {
  while: 'record.f_state == "open" && inputs.i_n != null && recorder == 1',
  otherwise: { grey: '{record.f_code} is shut' },
  cases: {
    c_1: {
      pos: 1,
      do: { d_1: { kind: 'set', pos: 1, fields: { f_state: 'record.f_next' } } },
      move: {
        kind: 'screen',
        target: 's_list',
        bind: {
          i_l: { rule: 'this', none: 'grey', reason: 'None.' },
          i_2: { rule: 'parent', path: 'f_up' },
          i_3: { rule: 'child', table: 't_y', path: 'f_x' },
          i_4: { rule: 'expression', value: 'record.f_n + 1' },
        },
      },
    },
  },
};

test('a gate that is shared speaks of its inputs only, and back again of the screen', () => {
  const before = project(own);
  const shared = applied(before, makeShared(ref(before), 'Go there'));
  const [gate] = sharedGatesOf(shared);
  if (!gate) throw new Error('it is shared');
  expect(gate.name).toBe('Go there');
  const said = gate.gate;
  expect(said.while).toBe('inputs.i_record.f_state == "open" && inputs.i_n != null && recorder == 1');
  expect(said.otherwise?.grey).toBe('{inputs.i_record.f_code} is shut');
  expect(said.cases?.c_1?.do).toEqual({
    d_1: { kind: 'set', pos: 1, fields: { f_state: 'inputs.i_record.f_next' } },
  });
  expect(said.cases?.c_1?.move).toMatchObject({
    bind: {
      i_l: { rule: 'input', value: 'i_record', none: 'grey', reason: 'None.' },
      i_2: { rule: 'parent', path: 'f_up', from: 'i_record' },
      i_3: { rule: 'child', table: 't_y', path: 'f_x', from: 'i_record' },
      i_4: { rule: 'expression', value: 'inputs.i_record.f_n + 1' },
    },
  });
  expect(gate.inputs?.i_record).toMatchObject({ alias: 'ex', type: 'record', table: 't_x', required: true });
  expect(at(shared, ['s_form', 'elements', 'e_a', 'gate'])).toEqual({
    use: gate.id,
    give: { i_record: { rule: 'this' }, i_n: { rule: 'input', value: 'i_n' } },
  });
  const back = makeOwn(ref(shared, { shared: gate.id, wiring: [gate.id, 'gate'] }));
  expect(back.problem).toBeUndefined();
  expect(at(applied(shared, back.ops), ['s_form', 'elements', 'e_a', 'gate'])).toEqual(own);
});

test('what only a shared gate can ask for is said instead of lost', () => {
  const entities: Document = {
    ...project({ use: 'g_1', give: { i_g: { rule: 'picked', table: 't_x' } } }),
    g_1: {
      kind: 'gate',
      pos: 1,
      name: 'One',
      inputs: { i_g: recordInput('t_x') },
      gate: { while: 'inputs.i_g.f_n > 1' },
    },
  };
  const back = makeOwn(ref(entities, { shared: 'g_1', wiring: ['g_1', 'gate'] }));
  expect(back.ops).toEqual([]);
  expect(back.problem).toContain('Change that first.');
});

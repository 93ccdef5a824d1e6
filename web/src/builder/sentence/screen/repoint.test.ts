import { expect, test } from 'vitest';
import { screenOf } from '../../../document/screens';
import { project } from '../../../document/testProject';
import { applied, ref } from '../testWay';
import { moveOf } from '../wiring';
import { repoint } from './repoint';

test('all ways to a screen lead elsewhere, with what they bring', () => {
  const entities = project({
    cases: {
      c_1: {
        pos: 1,
        move: {
          kind: 'screen',
          target: 's_list',
          spot: 'e_l',
          bind: { i_l: { rule: 'this', none: 'grey', reason: 'None.' }, i_gone: { rule: 'row' } },
        },
      },
    },
  });
  const [form, list] = [screenOf(entities, 's_form'), screenOf(entities, 's_list')];
  if (!form || !list) throw new Error('the screens are there');
  const plan = repoint(entities, list, form);
  expect(plan.ways).toBe(1);
  expect(moveOf(ref(applied(entities, plan.ops)), undefined)).toEqual({
    kind: 'screen',
    target: 's_form',
    bind: { i_x: { rule: 'this', none: 'grey', reason: 'None.' } },
  });
  expect(repoint(entities, form, list).ways).toBe(0);
});

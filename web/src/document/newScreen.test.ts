import { expect, test } from 'vitest';
import { newScreen } from './newScreen';
import { table } from './testProject';

const fields = ['id', 'name', 'state', 'a', 'b', 'c', 'd', 'e'];
const big = { ...table('big x', Object.fromEntries(fields.map((f) => [`f_${f}`, 'text']))), id: 't_x' };

test('a slug of its own, and a way back', () => {
  const taken = newScreen({}, 'Hand over', 'menu', undefined).body;
  const made = newScreen({ s_1: taken }, 'Hand over!', 'menu', undefined);
  expect(made.body.slug).toBe('hand-over-2');
  expect(JSON.stringify(made.body)).toContain('"kind":"back"');
});

test('a list has columns, a form its record and fields', () => {
  const list = JSON.stringify(newScreen({}, 'All', 'list', big).body);
  expect(list).toContain('"path":"f_name"');
  expect(list).not.toContain('"path":"f_id"');
  const form = newScreen({}, 'One', 'form', big).body;
  expect(form.inputs?.[form.record ?? '']).toMatchObject({ alias: 'big_x', label: 'Big x', required: true });
  expect(Object.values(form.elements ?? {}).filter((e) => e.kind === 'field')).toHaveLength(7);
});

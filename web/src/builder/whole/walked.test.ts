import { expect, test } from 'vitest';
import type { Draft } from '../../api/client';
import { walkedRoles } from './walked';

const role = (name: string, pos: number) => ({ kind: 'role', name, pos, start: 's' });
const draft = {
  entities: { r_b: role('Bee', 1), r_a: role('Ant', 2) },
  people: [
    { id: 'p1', name: 'Ilse', roles: ['Bee', 'Ant'] },
    { id: 'p2', name: 'Noor', roles: [] },
  ],
} as unknown as Draft;

test('who is walked as is named as reach names a set of roles', () => {
  expect(walkedRoles(draft, 'role:r_b')).toBe('r_b');
  expect(walkedRoles(draft, 'p1')).toBe('r_a+r_b');
  expect(walkedRoles(draft, 'p2')).toBe('');
  expect(walkedRoles(draft, 'gone')).toBe('');
});

import { expect, test } from 'vitest';
import { deedWords } from './LogEntries';

test('what was done is said in words', () => {
  const said = (what: string, detail = '') => deedWords({ what, detail });
  expect(said('roles', 'Mira Holt: Technician, Office')).toBe('gave Mira Holt the roles Technician, Office');
  expect(said('roles', 'Mira Holt: ')).toBe('removed all roles of Mira Holt');
  expect(said('rights', 'Mira Holt: builds')).toBe('gave Mira Holt the right to build');
  expect(said('rights', 'Mira Holt: builds, administers')).toBe('gave Mira Holt the right to build and to administer');
  expect(said('rights', 'Mira Holt: ')).toBe('removed the rights of Mira Holt to build and to administer');
  expect(said('release', '7')).toBe('released version 7');
  expect(said('release', '3 for some first')).toBe('released version 3 for some first');
  expect(said('release', '3 taken back')).toBe('took version 3 back from those who used it first');
  expect(said('walk', 'Sela Brandt')).toBe('walked as Sela Brandt');
  expect(said('password')).toBe('changed their own password');
  expect(said('rights', 'Mira Holt, for all: builds')).toBe('gave Mira Holt the right to build everything');
  expect(said('password', 'by a link')).toBe('set their password by a link');
  expect(said('person-renamed', 'Mira Holt: Mira Lane')).toBe('renamed Mira Holt to Mira Lane');
  expect(said('connection', 'Works')).toBe('kept the connection “Works”');
  expect(said('display', 'Hall')).toBe('added the display “Hall”');
  expect(said('display-code', 'Hall')).toBe('made a code for the display “Hall”');
  expect(said('what comes later', 'x')).toBe('what comes later: x');
});

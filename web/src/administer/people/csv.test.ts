import { expect, test } from 'vitest';
import { fieldsOf, readPeople } from './csv';

const applications = [
  {
    id: 'p_1',
    title: 'Pumps',
    roles: [
      { id: 'r_a', name: 'Everyone here' },
      { id: 'r_b', name: 'Editors' },
    ],
  },
  { id: 'p_2', title: 'Stores', roles: [{ id: 'r_c', name: 'Editors' }] },
];

test('fields are read with quotes, both separators, and lines of any end', () => {
  expect(fieldsOf('a,"b, c","d ""e"""\r\n\n f ,g,"h\ni"')).toEqual([
    ['a', 'b, c', 'd "e"'],
    ['f', 'g', 'h\ni'],
  ]);
  expect(fieldsOf('a;b,c;d')).toEqual([['a', 'b,c', 'd']]);
});

test('people are read with roles by their names', () => {
  const text =
    '\uFEFFLogin;Name;Roles\nBo;Bo Lund;Everyone here\nCy;Cy Moss;Pumps: editors / Stores: Editors\nDee;Dee;';
  expect(readPeople(text, applications, []).map((r) => r.person)).toEqual([
    { login: 'bo', name: 'Bo Lund', roles: { p_1: ['r_a'] } },
    { login: 'cy', name: 'Cy Moss', roles: { p_1: ['r_b'], p_2: ['r_c'] } },
    { login: 'dee', name: 'Dee', roles: {} },
  ]);
});

test('what is wrong is said at its line: doubles, roles, names', () => {
  const text = 'name,login,roles\nBo,bo,Cook\nCy,cy,Editors\nDee,ANA,\n,e,\nFay,,\nGil,g g,\nHal,hal,\nHal,hal,';
  expect(readPeople(text, applications, ['ana']).map((r) => `${r.line} ${r.person ? 'ok' : r.words}`)).toEqual([
    '2 there is no role “Cook”',
    '3 several applications have a role “Editors”: write “application: role”',
    '4 somebody signs in as “ana” already',
    '5 a name is missing',
    '6 what to sign in by is missing',
    '7 “g g” cannot be signed in by: it has spaces, quotes or commas',
    '8 ok',
    '9 somebody signs in as “hal” already',
  ]);
});

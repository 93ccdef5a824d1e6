import { expect, test } from 'vitest';
import type { Document } from './document.gen';
import { shownBy } from './pictures';

test('where a picture is shown: on screens, in faces, on rails', () => {
  const cell = { row: 1, col: 1, w: 2 };
  const d: Document = {
    im_a: { kind: 'picture', name: 'Dial', digest: 'im_a' },
    s_a: {
      kind: 'screen',
      type: 'menu',
      title: 'Start',
      slug: 'start',
      elements: {
        e_1: { kind: 'image', pos: 1, cell, picture: 'im_a' },
        e_2: { kind: 'button', pos: 2, cell, words: 'Go', faces: { q_1: { pos: 1, picture: 'im_a' } } },
      },
    },
    s_b: { kind: 'screen', type: 'menu', title: 'Other', slug: 'other', elements: {} },
    ra_a: {
      kind: 'rail',
      pos: 1,
      name: 'Main',
      edge: 'left',
      placed: {},
      elements: { e_3: { kind: 'image', pos: 1, cell, picture: 'im_a' } },
    },
  };
  expect(shownBy(d, 'im_a')).toEqual(['Start (2 times)', 'Main']);
  expect(shownBy(d, 'im_b')).toEqual([]);
  const colours = { co_a: { pos: 1, name: 'Blue', light: '#000066', dark: '#ddddff' } };
  const settings = { kind: 'project' as const, title: 'T', slug: 't', zone: 'UTC', style: { colours } };
  expect(shownBy({ project: settings }, 'co_a')).toEqual([]); // where it is kept it is not used
  const buttons = { main: { colour: 'co_a' } };
  expect(shownBy({ project: { ...settings, style: { colours, buttons } } }, 'co_a')).toEqual(['its settings']);
});

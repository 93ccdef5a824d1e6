import { expect, test } from 'vitest';
import { columnWidth, drawnAt, droppedAt, type Sheet } from './geometry';

const sheet: Sheet = {
  box: { left: 100, right: 1300, top: 50, bottom: 500 },
  bands: [
    { row: 1, top: 60, bottom: 100 },
    { row: 3, top: 114, bottom: 154 },
  ],
  even: 0,
};

const operator: Sheet = { ...sheet, bands: [], even: 45 };

const from = { row: 1, col: 2, w: 4 };

test('columns share the width of the sheet', () => expect(columnWidth(sheet)).toBe(100));

test('a drag goes by whole columns, and to the row under the pointer', () => {
  expect(droppedAt(sheet, from, { x: 240, y: 70 }, 130)).toEqual({
    cell: { row: 3, col: 4, w: 4 },
    between: undefined,
  });
  expect(droppedAt(sheet, from, { x: 40, y: 0 }, 80).cell).toEqual(from);
  expect(droppedAt(sheet, from, { x: -900, y: 0 }, 80).cell.col).toBe(1);
  expect(droppedAt(sheet, from, { x: 2000, y: 0 }, 80).cell.col).toBe(9);
});

test('between two rows it goes before the lower one, and below all to a row of its own', () => {
  expect(droppedAt(sheet, from, { x: 0, y: 40 }, 108)).toMatchObject({ cell: { row: 3 }, between: true });
  expect(droppedAt(sheet, from, { x: 0, y: 300 }, 300).cell.row).toBe(4);
});

test('on an operator screen rows are of one height', () => {
  expect(droppedAt(operator, from, { x: 0, y: 100 }, 0)).toEqual({ cell: { row: 3, col: 2, w: 4 } });
  expect(droppedAt(operator, from, { x: 0, y: -400 }, 0).cell.row).toBe(1);
});

test('the mark lies over the row, is a line between rows, and lies below all that there is', () => {
  expect(drawnAt(sheet, { row: 3, col: 1, w: 6 }, false, 30)).toEqual({ left: 100, right: 692, top: 114, bottom: 144 });
  const line = drawnAt(sheet, { row: 3, col: 1, w: 6 }, true, 30);
  expect(line.bottom - line.top).toBe(4);
  expect(drawnAt(sheet, { row: 9, col: 1, w: 6 }, false, 30).top).toBe(164);
  expect(drawnAt(operator, { row: 2, col: 1, w: 12, h: 2 }, false, 30)).toMatchObject({ top: 95, bottom: 177 });
});

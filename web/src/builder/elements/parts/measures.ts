import type { Reached } from '../../../document/tables';

/** What can be told of records. */
export const measures = [
  ['', 'how many'],
  ['sum', 'the sum of'],
  ['mean', 'the average of'],
  ['most', 'the most of'],
  ['least', 'the least of'],
] as const;

/** The stretches of time that records are counted by. */
export const spans = [
  ['day', 'day'],
  ['week', 'week'],
  ['month', 'month'],
  ['quarter', 'quarter'],
  ['year', 'year'],
] as const;

export const isDated = (f: Reached | undefined) => f?.field.type === 'date' || f?.field.type === 'moment';

/** Fields that can be added up. */
export const isSized = (f: Reached) =>
  ['whole', 'number', 'decimal'].includes(f.field.type) && f.field.references === undefined;

import type { Tally } from '../../../document/document.gen';

/** What a figure takes of the records it counts over. */
export const takes: Record<Tally['take'], string> = {
  count: 'how many',
  exists: 'whether there are any',
  min: 'the smallest',
  max: 'the largest',
};

/** What a figure takes, by the type of the field that it takes it of. */
export function takesWords(take: Tally['take'], type: string | undefined): string {
  const time = type === 'date' || type === 'moment';
  if (time && take === 'max') return 'the latest';
  if (time && take === 'min') return 'the earliest';
  return takes[take];
}

/** What a choice takes; how many, if it is none. */
export function takeIn(value: string): Tally['take'] {
  return value === 'exists' || value === 'min' || value === 'max' ? value : 'count';
}

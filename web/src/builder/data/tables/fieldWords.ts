import type { Column } from '../../../document/document.gen';

const typeWords: Record<string, string> = {
  text: 'text',
  whole: 'whole number',
  decimal: 'number',
  number: 'number',
  yesno: 'yes or no',
  date: 'date',
  moment: 'moment',
  picture: 'picture',
  json: 'nested data, shown only',
};

/** What a field is, in words: its choices, or its type with its unit and bounds. */
export function fieldWords(f: Column): string {
  const parts = [f.choices ? f.choices.join(', ') : f.long ? 'long text' : (typeWords[f.type] ?? f.type)];
  if (f.unit) parts[0] += ` in ${f.unit}`;
  if (f.min !== undefined && f.max !== undefined) parts.push(`${f.min} to ${f.max}`);
  else if (f.min !== undefined) parts.push(`${f.min} or more`);
  else if (f.max !== undefined) parts.push(`${f.max} or less`);
  if (f.longest) parts.push(`at most ${f.longest} characters`);
  if (f.pattern) parts.push(`of the form ${f.example ?? f.pattern}`);
  if (f.graded) parts.push('graded');
  if (f.secret) parts.push('secret');
  if (f.readOnly) parts.push('made by the database');
  return parts.join(', ');
}

/** Choices as they are typed: between commas, in order of rank, each once. */
export function choicesOf(typed: string): string[] | undefined {
  const list = [...new Set(typed.split(',').map((c) => c.trim()))].filter((c) => c !== '');
  return list.length > 0 ? list : undefined;
}

import type { Column, Document } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { Labelled } from '../../../ui/Labelled';
import { Typed } from '../../../ui/Typed';
import { useBuild } from '../../context';
import { ChosenPart } from './ChosenPart';

/** What a new record can begin with in a field, in the language of conditions; nothing: what is typed. */
export function begins(d: Document, field: Column): [stored: string, words: string][] | undefined {
  if (field.choices?.length) return field.choices.map((c) => [JSON.stringify(c), c]);
  switch (field.type) {
    case 'yesno':
      return [
        ['true', 'yes'],
        ['false', 'no'],
      ];
    case 'date':
      return [['today()', 'today']];
    case 'moment':
      return [['now()', 'now']];
  }
  if (!field.references) return undefined;
  const own = entityOf(d, 'project', 'project')?.userTable === field.references;
  return own ? [['user.record', 'the user’s own record']] : [];
}

/** What was typed, as a value in the language of conditions; nothing where it is none of the type. */
export function written(typed: string, type: string): string | undefined {
  if (type === 'text') return JSON.stringify(typed);
  const number = typed.replace(',', '.').trim();
  return number !== '' && Number.isFinite(Number(number)) ? number : undefined;
}

interface DefaultProps {
  path: string[]; // of the element
  field: Column;
  value: string | undefined;
}

/** What a new record begins with here, where the way that leads here brings nothing. */
export function DefaultPart({ path, field, value }: DefaultProps) {
  const { entities, edit } = useBuild();
  const among = begins(entities, field);
  const own = value !== undefined && among?.every(([id]) => id !== value);
  if (among?.length === 0 && !own) return null;
  if (among) {
    const kept = own ? [[value, value] as [string, string]] : [];
    return (
      <ChosenPart
        path={path}
        name="default"
        label="A new one begins with"
        value={value}
        among={[['', 'nothing'], ...among, ...kept]}
      />
    );
  }
  if (!['text', 'whole', 'number', 'decimal'].includes(field.type)) return null;
  const save = (typed: string) => {
    const stored = typed === '' ? undefined : written(typed, field.type);
    if (typed === '' || stored !== undefined) void edit(put(entities, [...path, 'default'], stored));
  };
  return (
    <Labelled label="A new one begins with">
      <Typed label="A new one begins with" hint="nothing" width="150px" value={shown(value)} onSave={save} />
    </Labelled>
  );
}

/** A kept text without its quotes. */
function shown(stored = ''): string {
  if (!stored.startsWith('"')) return stored;
  try {
    return String(JSON.parse(stored));
  } catch {
    return stored;
  }
}

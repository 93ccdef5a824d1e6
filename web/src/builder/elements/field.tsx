import type { Document } from '../../document/document.gen';
import { recordTable, screenOf, screensOf } from '../../document/screens';
import { fieldAlong } from '../../document/tables';
import { useBuild } from '../context';
import type { BuiltElement, LookProps, OfKind } from './element';
import { ChosenPart } from './parts/ChosenPart';
import { DefaultPart } from './parts/DefaultPart';
import { EitherPart } from './parts/EitherPart';
import { FieldPart } from './parts/Fields';
import { FormatPart } from './parts/FormatPart';
import { TypedPart } from './parts/TypedPart';

export const field: BuiltElement<'field'> = {
  words,
  starts: [
    { trigger: 'release', at: 'gate', words: 'when its value is pressed' },
    { trigger: 'changed', at: 'changed', words: 'when its value is changed' },
  ],
  Look: FieldLook,
};

const places = [
  ['', 'as usual'],
  ['above', 'above it'],
  ['beside', 'beside it'],
] as const;

/** Which field it is, what it is called here, and whether it can be changed here. */
function FieldLook({ path, element: e }: LookProps<'field'>) {
  const { entities, screen } = useBuild();
  const table = recordTable(screenOf(entities, screen)) ?? '';
  const field = fieldAlong(entities, table, e.path);
  const form = screensOf(entities).filter(
    (s) => s.type === 'form' && recordTable(s) === fieldAlong(entities, table, e.path)?.references,
  );
  return (
    <>
      <FieldPart path={path} name="path" label="Field" value={e.path} table={table} only={() => true} />
      <TypedPart path={path} name="label" label="Label" value={e.label} hint="as the table says" />
      <EitherPart
        path={path}
        name="readOnly"
        label="Here it"
        value={e.readOnly}
        no="can be changed by who may"
        yes="is only read"
      />
      {!e.readOnly && (
        <>
          <EitherPart
            path={path}
            name="required"
            label="Left empty"
            value={e.required}
            no="as its table has it"
            yes="not here"
          />
          <TypedPart path={path} name="hint" label="Hint" value={e.hint} hint="what to type" width="200px" />
        </>
      )}
      {!e.readOnly && !e.path.includes('.') && field && <DefaultPart path={path} field={field} value={e.default} />}
      <FormatPart path={path} field={field} value={e.format} />
      <ChosenPart path={path} name="place" label="Its label stands" value={e.place} among={places} />
      {form.length > 0 && (
        <ChosenPart
          path={path}
          name="add"
          label="A missing one is added with"
          value={e.add}
          among={[['', 'nothing'], ...form.map((s) => [s.id, s.title] as const)]}
        />
      )}
    </>
  );
}

/** Its own label, else that of the field in the table of its screen's record. */
function words(e: OfKind<'field'> & { id?: string }, entities: Document): string {
  if (e.label) return e.label;
  const screen = screensOf(entities).find((s) => e.id !== undefined && s.elements?.[e.id]?.kind === 'field');
  return fieldAlong(entities, recordTable(screen), e.path)?.label ?? 'a field';
}

import { Box } from '@chakra-ui/react';
import { memo, useId, useRef } from 'react';
import type { FieldView } from '../../api/client';
import { useScreen, useTyped } from '../context';
import type { OfKind } from '../kinds/kind';
import { Lead } from '../Lead';
import { ValueInput } from './ValueInput';

/** One field of the record: its label and value on a line, or its editor. */
export function FieldElement({ element }: { element: OfKind<'field'> }) {
  const { values, errors } = useTyped();
  const { path } = element.field;
  return <DrawnField element={element} typed={values[path]} error={errors[path]} />;
}

interface DrawnProps {
  element: OfKind<'field'>;
  typed: string | undefined; // what was typed into it and is not saved
  error: string | undefined;
}

const DrawnField = memo(function DrawnField({ element, typed, error }: DrawnProps) {
  const { field } = element;
  const { onType, onPress, base, builder, work } = useScreen();
  const id = useId();
  const fired = useRef<string>(undefined);
  const dirty = typed !== undefined;
  if (field.editable) {
    const settle = () => {
      if (!field.changed || builder || typed === undefined || typed === fired.current) return;
      fired.current = typed;
      void onPress(element, { trigger: 'changed' });
    };
    return (
      // What is set off by another value waits until the field is left, so that nobody is interrupted while typing.
      // biome-ignore lint/a11y/noStaticElementInteractions: it only hears that the field inside was left
      <div onBlur={settle} data-place={field.place} className="field-edit">
        <label htmlFor={id} className="field-head">
          <span>
            {field.label}
            {field.required && <span className="field-needed"> *</span>}
            {field.unit && ` (${field.unit})`}
          </span>
          {dirty && <span className="field-changed">changed</span>}
        </label>
        <ValueInput
          id={id}
          field={field}
          value={typed ?? field.value}
          invalid={!!error}
          given={work?.given[field.path]}
          onType={(v) => onType(field.path, v)}
          onAdd={field.add && work ? () => work.addParent(field.path) : undefined}
        />
        {field.hint && (
          <div id={`${id}-hint`} className="field-hint">
            {field.hint}
          </div>
        )}
        {error && (
          <div id={`${id}-error`} className="field-error" role="alert">
            {error}
          </div>
        )}
      </div>
    );
  }
  const way = field.way && element.state === 'shown';
  return (
    <div
      className="field"
      data-place={field.place}
      data-long={field.long || field.type === 'picture' || undefined}
      data-state={field.state}
    >
      <div className="field-label">{field.label}</div>
      <div className="field-value">
        {way ? (
          <Lead href={field.href && !builder ? base + field.href : undefined} onGo={() => void onPress(element)}>
            {field.words}
          </Lead>
        ) : (
          <Value field={field} />
        )}
      </div>
    </div>
  );
});

function Value({ field }: { field: FieldView }) {
  const { work } = useScreen();
  if (field.state === 'empty') return <>–</>;
  if (field.type === 'picture') {
    const shown = work?.picture(field.path, field.value);
    return shown ? <img className="picture" src={shown} alt={field.label} /> : field.words;
  }
  if (field.type === 'json') {
    return (
      <Box as="pre" fontFamily="mono" fontSize="note" fontWeight="400" whiteSpace="pre-wrap" overflowWrap="anywhere">
        {field.words}
      </Box>
    );
  }
  return (
    <>
      {field.words}
      {field.unit && field.state === 'known' && <span className="field-unit"> {field.unit}</span>}
    </>
  );
}

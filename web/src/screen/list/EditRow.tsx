import { Box, Flex } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import type { ColumnView, ElementView, FieldView, ListView, RowView } from '../../api/client';
import { Action } from '../../ui/controls';
import { useBusy, useScreen } from '../context';
import { ValueInput } from '../form/ValueInput';

const numbers = ['whole', 'number', 'decimal'];

interface EditRowProps {
  element: ElementView;
  list: ListView;
  row?: RowView; // none: a new one
  onEnd: () => void;
}

/** A row that is edited where it stands: Enter saves it, Escape gives it up; leaving it saves what was changed. */
export function EditRow({ element, list, row, onEnd }: EditRowProps) {
  const { onPress } = useScreen();
  const busy = useBusy();
  const [values, setValues] = useState<Record<string, string>>({});
  const [errors, setErrors] = useState<Record<string, string>>({});
  const line = useRef<HTMLTableRowElement>(null);
  const base = Object.fromEntries(list.columns.map((c, i) => [c.path, row?.cells[i]?.value ?? '']));
  const may = (c: ColumnView) => (row ? c.edits : c.adds);
  const firstOpen = list.columns.findIndex(may);
  const save = async () => {
    if (busy) return;
    if (row && Object.keys(values).length === 0) return onEnd();
    const told = Object.fromEntries(Object.keys(values).map((k) => [k, base[k] ?? '']));
    const pressed = await onPress(element, {
      trigger: 'keepRow',
      row: row?.key,
      values,
      base: told,
      version: row?.version,
    });
    setErrors(pressed.fields ?? {});
    if (pressed.done) onEnd();
  };
  return (
    <Box
      as="tr"
      ref={line}
      bg="amberSoft"
      borderBottomWidth="1px"
      borderColor="amber"
      onKeyDown={(e: React.KeyboardEvent) => {
        if (e.key === 'Escape') {
          e.stopPropagation();
          onEnd();
        } else if ((e.key === 'Enter' && !e.defaultPrevented) || (e.key === 's' && e.ctrlKey)) {
          e.preventDefault();
          e.stopPropagation();
          void save();
        }
      }}
      onBlur={(e: React.FocusEvent) => {
        const to = e.relatedTarget;
        if (to instanceof Node && !line.current?.contains(to) && Object.keys(values).length > 0) void save();
      }}
    >
      {list.columns.map((c, i) => (
        <Box as="td" key={c.path} px="4px" py="4px" verticalAlign="top">
          {may(c) ? (
            <>
              <ValueInput
                label={c.label}
                field={fieldOf(c, row, i)}
                value={values[c.path] ?? base[c.path] ?? ''}
                invalid={!!errors[c.path]}
                autoFocus={i === firstOpen}
                onType={(v) => setValues((all) => ({ ...all, [c.path]: v }))}
              />
              {errors[c.path] && (
                <Box color="brick" fontSize="note" fontWeight="600" role="alert">
                  {errors[c.path]}
                </Box>
              )}
            </>
          ) : (
            <Box p="7px 4px" color="muted" textAlign={numbers.includes(c.type) ? 'right' : undefined}>
              {row?.cells[i]?.words}
            </Box>
          )}
          {i === list.columns.length - 1 && (
            <Flex gap="6px" mt="4px" justify="flex-end">
              <Action minH="26px" tone="main" onClick={() => void save()} disabled={busy === element.id}>
                {row ? 'Save' : 'Add'}
              </Action>
              <Action minH="26px" onClick={onEnd}>
                Cancel
              </Action>
            </Flex>
          )}
        </Box>
      ))}
    </Box>
  );
}

function fieldOf(c: ColumnView, row: RowView | undefined, at: number): FieldView {
  const cell = row?.cells[at];
  return {
    path: c.path,
    label: c.label,
    type: c.type,
    value: cell?.value ?? '',
    words: cell?.words ?? '',
    state: cell?.value ? 'known' : 'empty',
    choices: c.choices,
    unit: c.unit,
    table: c.table,
    required: c.needed,
    editable: true,
  };
}

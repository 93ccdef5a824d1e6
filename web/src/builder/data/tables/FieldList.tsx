import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { type FieldDoc, fieldsOf } from '../../../document/tables';
import { Action } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';
import { FieldParts } from './FieldParts';
import { fieldWords } from './fieldWords';

/** The fields of a table: what each is called and what it is, and what it refers to. */
export function FieldList({ table }: { table: string }) {
  const { entities } = useRights();
  const own = entityOf(entities, table, 'table');
  return (
    <Box as="ul" listStyleType="none" aria-label="Fields" fontSize="note">
      {fieldsOf(own).map((f) => (
        <OneField key={f.id} table={table} field={f} isKey={own?.key.includes(f.id) ?? false} />
      ))}
    </Box>
  );
}

function OneField({ table, field: f, isKey }: { table: string; field: FieldDoc; isKey: boolean }) {
  const { entities, edit, openData } = useRights();
  const [open, setOpen] = useState(false);
  const parent = f.references;
  return (
    <Box as="li" borderBottomWidth="1px" borderColor="rule" py="4px">
      <Box
        display="grid"
        gridTemplateColumns="170px minmax(90px, 1fr) minmax(140px, 2fr) auto"
        gap="10px"
        alignItems="center"
      >
        <Typed
          label={`Name of ${f.alias}`}
          width="100%"
          value={f.label}
          onSave={(v) => v && void edit(put(entities, [table, 'fields', f.id, 'label'], v))}
        />
        <Box fontFamily="mono" color="muted" overflow="hidden" textOverflow="ellipsis" title={f.column}>
          {f.alias}
        </Box>
        <Box color="muted">
          {parent ? (
            <Box as="button" color="plum" fontWeight="700" cursor="pointer" onClick={() => openData(parent)}>
              one of {entityOf(entities, parent, 'table')?.label.toLowerCase()}
            </Box>
          ) : (
            fieldWords(f)
          )}
          {isKey && ', key'}
        </Box>
        <Action
          tone="quiet"
          minH="26px"
          aria-expanded={open}
          aria-label={`What ${f.label} is`}
          onClick={() => setOpen(!open)}
        >
          {open ? 'less' : 'change'}
        </Action>
      </Box>
      {open && <FieldParts table={table} field={f} isKey={isKey} />}
    </Box>
  );
}

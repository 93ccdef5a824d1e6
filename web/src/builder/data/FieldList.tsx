import { Box } from '@chakra-ui/react';
import type { Op } from '../../api/client';
import { entityOf } from '../../document/parts';
import { fieldsOf } from '../../document/tables';
import { Typed } from '../../ui/Typed';
import { useRights } from './context';

/** The fields of a table, and what they refer to. */
export function FieldList({ table }: { table: string }) {
  const { entities, edit, openData } = useRights();
  const own = entityOf(entities, table, 'table');
  return (
    <Box as="table" w="full" fontSize="note" css={{ borderCollapse: 'collapse' }}>
      <tbody>
        {fieldsOf(own).map((f) => {
          const parent = f.references;
          return (
            <Box as="tr" key={f.id} borderBottomWidth="1px" borderColor="rule">
              <Box as="td" py="4px" pr="12px">
                <Typed
                  label={`Name of ${f.alias}`}
                  width="160px"
                  value={f.label}
                  onSave={(v) => v && void edit([{ op: 'replace', path: `/${table}/fields/${f.id}/label`, value: v }])}
                />
              </Box>
              <Box as="td" pr="12px" fontFamily="mono" color="muted">
                {f.alias}
              </Box>
              <Box as="td" pr="12px" color="muted">
                {parent ? (
                  <Box as="button" color="plum" fontWeight="700" cursor="pointer" onClick={() => openData(parent)}>
                    one of {entityOf(entities, parent, 'table')?.label.toLowerCase()}
                  </Box>
                ) : (
                  (f.choices?.join(', ') ?? typeWords[f.type] ?? f.type)
                )}
                {own?.key.includes(f.id) && ', key'}
              </Box>
              <Box as="td">
                {['whole', 'decimal', 'number'].includes(f.type) && !own?.key.includes(f.id) && (
                  <Typed
                    label={`Unit of ${f.alias}`}
                    hint="unit"
                    width="70px"
                    value={f.unit ?? ''}
                    onSave={(v) => void edit(unitPatch(`/${table}/fields/${f.id}/unit`, f.unit, v))}
                  />
                )}
              </Box>
            </Box>
          );
        })}
      </tbody>
    </Box>
  );
}

/** A unit given, changed or removed. */
function unitPatch(path: string, was: string | undefined, now: string): Op[] {
  if (!now) return was ? [{ op: 'remove', path }] : [];
  return [{ op: was ? 'replace' : 'add', path, value: now }];
}

const typeWords: Record<string, string> = {
  text: 'text',
  whole: 'whole number',
  decimal: 'number',
  number: 'number',
  yesno: 'yes or no',
  date: 'date',
  moment: 'moment',
};

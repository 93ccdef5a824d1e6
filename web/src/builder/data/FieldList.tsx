import { Box } from '@chakra-ui/react';
import { entityOf } from '../../document/parts';
import { fieldsOf } from '../../document/tables';
import { useRights } from './context';

/** The fields of a table, and what they refer to. */
export function FieldList({ table }: { table: string }) {
  const { entities, openData } = useRights();
  const own = entityOf(entities, table, 'table');
  return (
    <Box as="table" w="full" fontSize="note" css={{ borderCollapse: 'collapse' }}>
      <tbody>
        {fieldsOf(own).map((f) => {
          const parent = f.references;
          return (
            <Box as="tr" key={f.id} borderBottomWidth="1px" borderColor="rule">
              <Box as="td" py="4px" fontWeight="700" pr="12px">
                {f.label}
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
            </Box>
          );
        })}
      </tbody>
    </Box>
  );
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

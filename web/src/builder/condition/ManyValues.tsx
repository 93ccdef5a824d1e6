import { Box, Flex } from '@chakra-ui/react';
import { Line } from '../../ui/controls';
import type { ValueProps } from './value';

/** Several values: choices to switch on and off, or words with commas between them. */
export function ManyValues({ name, row, onChange }: ValueProps) {
  const values = row.values ?? [];
  const set = (next: string[]) => onChange({ path: row.path, compare: row.compare, values: next });
  if (!name?.choices) {
    return (
      <Box w="190px">
        <Line
          aria-label="Values, with commas between them"
          placeholder="one, two, three"
          defaultValue={values.join(', ')}
          onChange={(e) =>
            set(
              e.target.value
                .split(',')
                .map((v) => v.trim())
                .filter(Boolean),
            )
          }
        />
      </Box>
    );
  }
  const order = name.choices;
  return (
    <Flex role="group" aria-label="Values" wrap="wrap" gap="4px" maxW="290px">
      {order.map((c) => {
        const on = values.includes(c);
        return (
          <Box
            as="button"
            key={c}
            aria-pressed={on}
            onClick={() => set(order.filter((o) => (o === c ? !on : values.includes(o))))}
            px="8px"
            minH="30px"
            fontSize="note"
            fontWeight="600"
            borderRadius="3px"
            borderWidth="1px"
            borderColor={on ? 'amber' : 'rule'}
            bg={on ? 'amberSoft' : 'plate'}
            cursor="pointer"
          >
            <span aria-hidden="true">{on ? '✓ ' : ''}</span>
            {c}
          </Box>
        );
      })}
    </Flex>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import type { ColumnView } from '../../api/client';
import { Line, Select } from '../../ui/controls';
import { DateInput } from '../../ui/dates/DateInput';
import { useScreen } from '../context';
import { ValueInput } from '../form/ValueInput';
import { daySpans, type Narrowed } from './filters';

interface InputsProps {
  column: ColumnView;
  way: Narrowed;
  onChange: (way: Narrowed) => void;
}

/** What a comparison is with, by the column's type. */
export function FilterInputs({ column, way, onChange }: InputsProps) {
  switch (way.compare) {
    case 'empty':
    case 'notEmpty':
      return null;
    case 'in':
      return <Choices column={column} way={way} onChange={onChange} />;
    case 'days':
      return (
        <Select aria-label="Days" value={way.days} onChange={(e) => onChange({ ...way, days: e.target.value })}>
          {!daySpans.some(([span]) => span === way.days) && <option value={way.days}>{way.days}</option>}
          {daySpans.map(([span, words]) => (
            <option key={span} value={span}>
              {words}
            </option>
          ))}
        </Select>
      );
    case 'between':
      return (
        <Flex gap="8px">
          <End column={column} label="From" value={way.from} onChange={(from) => onChange({ ...way, from })} />
          <End column={column} label="To" value={way.to} onChange={(to) => onChange({ ...way, to })} />
        </Flex>
      );
  }
  if (way.compare === 'is' && (column.table || column.type === 'yesno')) {
    const field = {
      path: column.path,
      label: 'Value',
      type: column.type,
      value: way.value,
      words: way.value,
      state: 'known',
      table: column.table,
      required: true,
    };
    return (
      <ValueInput
        label="Value"
        field={field}
        value={way.value}
        invalid={false}
        onType={(value) => onChange({ ...way, value })}
      />
    );
  }
  return <Line aria-label="Value" value={way.value} onChange={(e) => onChange({ ...way, value: e.target.value })} />;
}

function Choices({ column, way, onChange }: InputsProps) {
  const tick = (choice: string) =>
    onChange({
      ...way,
      some: way.some.includes(choice) ? way.some.filter((c) => c !== choice) : [...way.some, choice],
    });
  return (
    <Box role="group" aria-label="Values">
      {column.choices?.map((c) => (
        <Flex as="label" key={c} align="center" gap="8px" py="4px" cursor="pointer">
          <input type="checkbox" checked={way.some.includes(c)} onChange={() => tick(c)} />
          {c}
        </Flex>
      ))}
    </Box>
  );
}

function End(p: { column: ColumnView; label: string; value: string; onChange: (v: string) => void }) {
  const { column, label, value, onChange } = p;
  const language = useScreen().view.language ?? 'en';
  if (column.choices) {
    return (
      <Select aria-label={label} flex="1" value={value} onChange={(e) => onChange(e.target.value)}>
        <option value="">–</option>
        {column.choices.map((c) => (
          <option key={c}>{c}</option>
        ))}
      </Select>
    );
  }
  if (column.type === 'date' || column.type === 'moment')
    return <DateInput input={{ 'aria-label': label, label }} language={language} value={value} onValue={onChange} />;
  return (
    <Line
      aria-label={label}
      placeholder={label.toLowerCase()}
      inputMode="decimal"
      px="6px"
      value={value}
      onChange={(e) => onChange(e.target.value)}
    />
  );
}

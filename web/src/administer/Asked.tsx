import { Box } from '@chakra-ui/react';
import { useId } from 'react';
import { Line } from '../ui/controls';

interface AskedProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  hint?: string;
  wrong?: string;
  type?: 'text' | 'password' | 'number';
  auto?: string;
  first?: boolean; // one begins here
  readOnly?: boolean;
}

/** One line of a form, with its name above it and what is wrong with it below. */
export function Asked({
  label,
  value,
  onChange,
  hint,
  wrong,
  type = 'text',
  auto = 'off',
  first,
  readOnly,
}: AskedProps) {
  const told = useId();
  return (
    <Box as="label" display="block" mb="12px">
      <Box fontSize="note" color="muted" mb="3px">
        {label}
      </Box>
      <Line
        type={type}
        value={value}
        placeholder={hint}
        autoComplete={auto}
        autoFocus={first}
        readOnly={readOnly}
        aria-invalid={wrong !== undefined || undefined}
        aria-describedby={wrong ? told : undefined}
        onChange={(e) => onChange(e.target.value)}
      />
      {wrong && (
        <Box id={told} color="brick" fontSize="note" fontWeight="600" mt="3px">
          {wrong}
        </Box>
      )}
    </Box>
  );
}

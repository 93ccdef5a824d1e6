import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Line } from '../../ui/controls';

/** Plates from which a margin gets a field to find one among them. */
export const many = 12;

/** Finds among many plates by any word of them. */
export function useFind(n: number, label: string) {
  const [find, setFind] = useState('');
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (text: string) => words.every((w) => text.toLowerCase().includes(w));
  const field = n > many && (
    <Box mb="8px">
      <Line aria-label={label} placeholder="find" value={find} onChange={(e) => setFind(e.target.value)} />
    </Box>
  );
  return { field, fits, found: words.length > 0 };
}

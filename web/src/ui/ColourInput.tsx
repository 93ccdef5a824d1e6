import { Box } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';

/** A colour, kept once it is chosen and not at each move on the way there. */
export function ColourInput({ label, value, onSave }: { label: string; value: string; onSave: (v: string) => void }) {
  const field = useRef<HTMLInputElement>(null);
  const save = useRef(onSave);
  const [shown, setShown] = useState(value);
  useEffect(() => setShown(value), [value]);
  useEffect(() => {
    save.current = onSave;
  });
  useEffect(() => {
    const at = field.current;
    const chosen = () => at && save.current(at.value.toLowerCase());
    at?.addEventListener('change', chosen); // the browser's own: when the choice is made
    return () => at?.removeEventListener('change', chosen);
  }, []);
  return (
    <Box asChild w="44px" h="28px" p="0" borderWidth="1px" borderColor="rule" borderRadius="4px" bg="plate">
      <input ref={field} type="color" aria-label={label} value={shown} onChange={(e) => setShown(e.target.value)} />
    </Box>
  );
}

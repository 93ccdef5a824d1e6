import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Action, Line } from '../../../ui/controls';
import { readCondition } from '../../condition/spot';
import { useBuild } from '../../context';
import { spotOf, type WayRef } from '../wiring';

interface ValueProps {
  label: string;
  stored: string;
  wayRef: WayRef;
  hint: string;
  onSave: (stored: string) => void;
}

/** A value that is worked out, as text: read by the server as it is typed in. */
export function ValueForm({ label, stored, wayRef, hint, onSave }: ValueProps) {
  const { as } = useBuild();
  const [typed, setTyped] = useState(stored);
  const [problem, setProblem] = useState<string>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, to show names in the stead of ids
  useEffect(() => {
    if (stored) void readCondition(spotOf(wayRef, as), { text: stored, value: true }).then((r) => setTyped(r.shown));
  }, []);
  const save = async () => {
    const read = await readCondition(spotOf(wayRef, as), { text: typed, value: true });
    if (read.problem) return setProblem(read.problem.message);
    onSave(read.stored);
  };
  return (
    <Box
      as="form"
      p="12px"
      w="400px"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        void save();
      }}
    >
      <Box fontSize="note" color="muted" mb="3px">
        {label}
      </Box>
      <Line
        aria-label={label}
        aria-invalid={!!problem || undefined}
        autoFocus
        fontFamily="mono"
        value={typed}
        placeholder={hint}
        onChange={(e) => setTyped(e.target.value)}
      />
      {problem && (
        <Box color="brick" fontSize="note" mt="6px" role="alert">
          {problem}
        </Box>
      )}
      <Action type="submit" tone="main" mt="10px" disabled={!typed.trim()}>
        Set
      </Action>
    </Box>
  );
}

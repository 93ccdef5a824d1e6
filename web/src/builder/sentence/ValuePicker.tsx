import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Action, Line } from '../../ui/controls';
import { readCondition } from '../condition/spot';
import { useBuild } from '../context';
import { text } from '../document';
import { Pop } from '../Pop';
import type { ChipProps } from './ChipPicker';
import { caseId, gate, putGate, spotOf, type WayRef } from './wiring';

/** A value that is worked out, as text: read by the server as it is typed in. */
export function ValueForm({
  label,
  stored,
  wayRef,
  hint,
  onSave,
}: {
  label: string;
  stored: string;
  wayRef: WayRef;
  hint: string;
  onSave: (stored: string) => void;
}) {
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

/** What decides which of several screens is opened. */
export function ByPicker({ chunk, wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { edit } = useBuild();
  const path = ['cases', chunk.case ?? caseId(wayRef), 'move', 'by'];
  return (
    <Pop label="What decides" onClose={onClose}>
      <ValueForm
        label="What decides which screen is opened"
        stored={text(gate(wayRef, ...path))}
        wayRef={wayRef}
        hint="record.area"
        onSave={(v) => {
          onClose();
          void edit(putGate(wayRef, path, v));
        }}
      />
    </Pop>
  );
}

/** What fills in a part of an address, or an input of another project's screen. */
export function WithPicker({ chunk, wayRef, onClose }: ChipProps & { wayRef: WayRef }) {
  const { edit } = useBuild();
  const path = ['cases', chunk.case ?? caseId(wayRef), 'move', 'with', chunk.item ?? ''];
  return (
    <Pop label={`What ${chunk.item} is`} onClose={onClose}>
      <ValueForm
        label={`What “${chunk.item}” is`}
        stored={text(gate(wayRef, ...path))}
        wayRef={wayRef}
        hint="record.code"
        onSave={(v) => {
          onClose();
          void edit(putGate(wayRef, path, v));
        }}
      />
    </Pop>
  );
}

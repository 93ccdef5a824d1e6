import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Line } from '../../../ui/controls';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { gateOf, putGate } from '../wiring';
import type { ChipProps } from './chip';

/** What shows while the condition fails. */
export function OtherwisePicker({ wayRef, onClose }: ChipProps) {
  const { edit } = useBuild();
  const [reason, setReason] = useState(gateOf(wayRef)?.otherwise?.grey ?? '');
  const save = (grey: string | undefined) => {
    onClose();
    void edit(putGate(wayRef, ['otherwise'], grey ? { grey } : undefined));
  };
  return (
    <Pop label="Otherwise" onClose={onClose}>
      <Box
        as="form"
        p="12px"
        w="360px"
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          save(reason.trim());
        }}
      >
        <Action mb="10px" onClick={() => save(undefined)}>
          hide it
        </Action>
        <Box fontSize="note" color="muted" mb="3px">
          or show it greyed, with the reason
        </Box>
        <Line
          aria-label="Reason"
          autoFocus
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          placeholder="Closed ones are read only."
        />
        <Action type="submit" tone="main" mt="10px" disabled={!reason.trim()}>
          Grey it
        </Action>
      </Box>
    </Pop>
  );
}

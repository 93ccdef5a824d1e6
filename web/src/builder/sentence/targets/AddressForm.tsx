import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { AddressMove } from '../../../document/document.gen';
import { Action, Line } from '../../../ui/controls';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import type { ChipProps } from '../chips/chip';
import { moveOf, putMove } from '../wiring';

/** A web address by a URI Template (RFC 6570): what stands in braces is filled in by an expression each. */
export function AddressForm({ chunk, wayRef, onClose }: ChipProps) {
  const { edit } = useBuild();
  const move = moveOf(wayRef, chunk.case);
  const now = move?.kind === 'address' ? move : undefined;
  const [address, setAddress] = useState(now?.address || 'https://');
  const names = namesOf(address);
  const sound = /^(https?:\/\/[^/{]+(\/|$)|mailto:|tel:)/.test(address);
  const save = () => {
    onClose();
    const filled = Object.fromEntries(names.map((n) => [n, now?.with?.[n] ?? '""']));
    const next: AddressMove = { kind: 'address', address, as: 'tab', ...(names.length > 0 ? { with: filled } : {}) };
    void edit(putMove(wayRef, next, chunk.case));
  };
  return (
    <Pop label="A web address" onClose={onClose}>
      <Box
        as="form"
        p="12px"
        w="440px"
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          save();
        }}
      >
        <Box fontSize="note" color="muted" mb="3px">
          What stands in braces is filled in: https://parts.example/find/&#123;code&#125;
        </Box>
        <Line
          aria-label="Web address"
          aria-invalid={!sound || undefined}
          autoFocus
          fontFamily="mono"
          value={address}
          onChange={(e) => setAddress(e.target.value)}
        />
        {!sound && (
          <Box color="muted" fontSize="note" mt="6px">
            It begins with https:, http:, mailto: or tel:, and says its host in full.
          </Box>
        )}
        {names.length > 0 && (
          <Box fontSize="note" color="muted" mt="6px">
            {names.join(', ')}: each gets a chip in the sentence, to say what it is.
          </Box>
        )}
        <Action type="submit" tone="main" mt="10px" disabled={!sound}>
          Lead there
        </Action>
      </Box>
    </Pop>
  );
}

/** The variables of a URI Template. */
function namesOf(template: string): string[] {
  const found = [...template.matchAll(/\{[+#./;?&]?([^}]*)\}/g)].flatMap((m) => (m[1] ?? '').split(','));
  return [...new Set(found.map((n) => n.replace(/(\*|:\d+)$/, '').trim()).filter((n) => /^\w+$/.test(n)))];
}

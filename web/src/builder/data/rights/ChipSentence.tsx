import { Box } from '@chakra-ui/react';
import { type ReactNode, useState } from 'react';
import type { Chunk } from '../../../api/client';
import { Pop } from '../../Pop';

interface ChipSentenceProps {
  chunks: Chunk[];
  label: string;
  picker: (part: string, close: () => void) => ReactNode;
  links?: Record<string, () => void>; // parts that lead somewhere instead
  size?: string;
}

/** A sentence about rights whose chips open what they can be changed to. */
export function ChipSentence({ chunks, label, picker, links, size = '16px' }: ChipSentenceProps) {
  const [open, setOpen] = useState<string>();
  const close = () => setOpen(undefined);
  return (
    <Box fontSize={size} lineHeight="1.7" role="group" aria-label={label}>
      {chunks.map((c, i) =>
        c.part ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: chunks have no other identity than their order
          <span key={i}>
            <Box
              as="button"
              {...(links?.[c.part] ? {} : { 'aria-haspopup': 'dialog', 'aria-expanded': open === c.part })}
              onClick={links?.[c.part] ?? (() => setOpen(open === c.part ? undefined : c.part))}
              fontWeight="700"
              color={c.bad ? 'brick' : c.part === 'rows' || c.part === 'changes' ? 'plum' : 'ink'}
              borderBottomWidth="2px"
              borderBottomStyle={c.bad ? 'dashed' : 'solid'}
              borderColor={c.bad ? 'brick' : open === c.part ? 'amber' : 'rule'}
              bg={open === c.part ? 'amberSoft' : undefined}
              px="2px"
              lineHeight="1.3"
              textAlign="left"
              cursor="pointer"
              _hover={{ borderColor: 'amber' }}
            >
              {c.text}
            </Box>
            {open === c.part && c.part && (
              <Pop label={partLabels[c.part] ?? 'Choose'} onClose={close}>
                {picker(c.part, close)}
              </Pop>
            )}
          </span>
        ) : (
          // biome-ignore lint/suspicious/noArrayIndexKey: as above
          <span key={i}>{c.text}</span>
        ),
      )}
    </Box>
  );
}

const partLabels: Record<string, string> = {
  verbs: 'What they may do',
  rows: 'Which records',
  changes: 'Which of these may be changed',
  hidden: 'Fields hidden from them',
  readOnly: 'Fields they may not change',
  roles: 'Who may be here',
  guard: 'While what holds',
};

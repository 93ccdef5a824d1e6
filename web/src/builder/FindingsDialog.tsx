import { Box } from '@chakra-ui/react';
import type { Draft, Finding } from '../api/client';
import { entityOf } from '../document/parts';
import { placeOf } from '../document/project';
import { Frame } from '../ui/Frame';

interface FindingsProps {
  draft: Draft;
  onOpen: (f: Finding) => void;
  onClose: () => void;
}

/** All findings, broken ones first; each leads to its place. */
export function FindingsDialog({ draft, onOpen, onClose }: FindingsProps) {
  const title = draft.findings.length === 0 ? 'Nothing was found wrong' : 'What the checks found';
  const where = (f: Finding) =>
    (f.entity ? undefined : entityOf(draft.entities, f.screen, 'screen')?.title) ?? placeOf(draft.entities, f.entity);
  return (
    <Frame title={title} told width="720px" onClose={onClose}>
      {draft.findings.map((f) => (
        <Box
          as="button"
          key={f.check + f.screen + f.entity + f.element + f.words}
          display="block"
          w="full"
          textAlign="left"
          py="8px"
          borderTopWidth="1px"
          borderColor="rule"
          cursor="pointer"
          _hover={{ bg: 'faint' }}
          onClick={() => onOpen(f)}
        >
          <Box fontSize="note" color={f.severity === 'broken' ? 'brick' : 'amberText'} fontWeight="700">
            {f.severity} · {where(f)}
          </Box>
          <Box fontWeight="600">{f.words}</Box>
          {f.evidence && (
            <Box fontSize="note" color="muted">
              {f.evidence}
            </Box>
          )}
        </Box>
      ))}
    </Frame>
  );
}

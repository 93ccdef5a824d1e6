import { Box } from '@chakra-ui/react';
import type { Question } from '../../api/client';

/** What refers to the record, and what becomes of it. */
export function HangingOn({ question }: { question: Question }) {
  const hanging = question.hanging ?? [];
  if (hanging.length === 0) return <Box mt="8px">This cannot be undone.</Box>;
  const fates: Record<string, string> = {
    deleted: 'will be deleted too',
    emptied: 'will refer to nothing any more',
    kept: 'refer to it: while they do, it cannot be deleted',
  };
  const fatesOfOne: Record<string, string> = { kept: 'refers to it: while it does, it cannot be deleted' };
  return (
    <Box mt="10px">
      Also affected:
      <Box as="ul" pl="18px" mt="4px">
        {hanging.map((h) => (
          <li key={h.label}>
            <b>
              {h.n.toLocaleString('en')} {h.label.toLowerCase()}
            </b>
            , which {(h.n === 1 && fatesOfOne[h.then]) || fates[h.then] || h.then}
          </li>
        ))}
      </Box>
      {!keptBack(question) && <Box mt="8px">This cannot be undone.</Box>}
    </Box>
  );
}

/** Whether something refers to the record that keeps it from being deleted. */
export function keptBack(question: Question) {
  return (question.hanging ?? []).some((h) => h.then === 'kept');
}

import { Box, Flex } from '@chakra-ui/react';
import type { EditTold } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { useWhole } from '../context';
import { ChangeLine } from '../releases/ChangeLine';
import { byEntity, kindWords } from '../releases/releases';
import { type Asked, fateOf } from './history';

interface EditProps {
  edit: EditTold;
  asked: Asked;
  onAsk: (to: Asked) => void;
}

/** One edit: when, by whom, what it changed; it can be taken back, and its screens be seen as they were before. */
export function EditLine({ edit: e, asked, onAsk }: EditProps) {
  const { hands } = useWhole();
  const at = new Date(e.at);
  const fate = fateOf(e);
  return (
    <Flex
      as="article"
      aria-label={`Edit ${e.seq} by ${e.by}`}
      gap="12px"
      py="9px"
      borderBottomWidth="1px"
      borderColor="rule"
    >
      <Box w="112px" flexShrink={0}>
        <Box fontWeight="700">{at.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}</Box>
        <Box fontSize="note" color="muted">
          {e.by}
        </Box>
        {fate && (
          <Box fontSize="note" color="muted">
            {fate}
          </Box>
        )}
      </Box>
      <Box flex="1" minW={0}>
        {e.changes.length === 0 && <Box color="muted">It changed nothing in the end.</Box>}
        {byEntity(e.changes).map((of) => (
          <Box key={of.entity}>
            {!asked.entity && !of.changes.every((c) => c.how !== 'changed' && c.at === `/${of.entity}`) && (
              <Box fontSize="note" color="muted">
                {kindWords(of.kind)} {of.name}
              </Box>
            )}
            <Box as="ul" listStyleType="none" m={0} p={0}>
              {of.changes.map((c) => (
                <ChangeLine key={`${c.at} ${c.what ?? ''} ${c.paths[0] ?? ''}`} change={c} />
              ))}
            </Box>
          </Box>
        ))}
        {e.more > 0 && (
          <Box fontSize="note" color="muted">
            and {e.more} more
          </Box>
        )}
      </Box>
      <Flex direction="column" gap="4px" align="flex-end" flexShrink={0}>
        {!e.undone && (
          <Action
            minH="28px"
            disabled={hands.takeBack.isPending}
            onClick={() => hands.takeBack.mutate(e.seq)}
            title="As an edit of yours; what was changed since stays"
          >
            {e.undoes ? 'Make it again' : 'Take it back'}
          </Action>
        )}
        {screensIn(e).map((s) => (
          <Action
            key={s.entity}
            tone="quiet"
            minH="28px"
            onClick={() => onAsk({ ...asked, entity: s.entity, past: { before: e.seq } })}
          >
            {s.name} before it
          </Action>
        ))}
      </Flex>
    </Flex>
  );
}

/** The screens that an edit changed, not those that it made: at most three, so that the line stays a line. */
function screensIn(e: EditTold) {
  return byEntity(e.changes)
    .filter((of) => of.kind === 'screen' && !of.changes.some((c) => c.how === 'made' && c.at === `/${of.entity}`))
    .slice(0, 3);
}

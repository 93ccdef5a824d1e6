import { Box, Flex } from '@chakra-ui/react';
import { Refused } from '../../../api/client';
import { Action } from '../../../ui/controls';
import { Message, Waiting, WayOn } from '../../../ui/Message';
import { useWhole } from '../context';
import { useWalks } from './useWalks';
import { WalkSide } from './WalkSide';
import { WalkSteps } from './WalkSteps';
import { lineOf, type Standing, standingOf } from './walks';

const marks: Record<Standing, [mark: string, color: string, words: string]> = {
  kept: ['✓', 'pine', 'as expected'],
  differs: ['✕', 'brick', 'differs'],
  goes: ['…', 'muted', 'on its way'],
  waits: ['·', 'muted', 'not gone yet'],
};

/** Walks through the application: each as its steps in words, gone again, and where it differs. */
export function WalksPage({ item }: { item: string | undefined }) {
  const { project, draft, openWalk } = useWhole();
  const { told, results, going, problem, go } = useWalks(project, draft.seq);
  if (told.error instanceof Refused) {
    return (
      <Message problem={told.error.problem}>
        <WayOn words="Try again" glyph="forward" onPress={() => void told.refetch()} />
      </Message>
    );
  }
  if (!told.data) return <Waiting what="Reading the walks …" />;
  const all = told.data;
  const chosen = all.find((w) => w.id === item) ?? all[0];
  const result = chosen && results[chosen.id];
  const differ = all.filter((w) => results[w.id]?.differs).length;
  const gone = all.filter((w) => results[w.id]).length;
  if (!chosen) return <NoWalks />;
  return (
    <Flex as="main" flex="1" minH={0} minW={0}>
      <Flex direction="column" w="290px" flexShrink={0} borderRightWidth="1px" borderColor="rule" minH={0}>
        <Flex align="center" gap="8px" p="14px 14px 10px 22px">
          <Box flex="1" minW={0}>
            <Box as="h1" fontSize="head" fontWeight="800">
              Walks
            </Box>
            <Box fontSize="note" color="muted" aria-live="polite">
              {gone === 0
                ? `${all.length} in all`
                : differ === 0
                  ? `${gone} as expected`
                  : `${differ} of ${gone} differ`}
            </Box>
          </Box>
          <Action tone="main" disabled={going.length > 0} onClick={() => void go(all.map((w) => w.id))}>
            Go all
          </Action>
        </Flex>
        <Box as="nav" aria-label="Walks" overflowY="auto" flex="1" minH={0}>
          {all.map((w) => {
            const [mark, color, words] = marks[standingOf(results[w.id], going.includes(w.id))];
            const on = w.id === chosen.id;
            return (
              <Flex
                as="button"
                key={w.id}
                w="full"
                textAlign="left"
                gap="10px"
                p="9px 12px 9px 19px"
                borderLeftWidth="3px"
                borderLeftColor={on ? 'amber' : 'transparent'}
                borderBottomWidth="1px"
                borderBottomColor="rule"
                bg={on ? 'amberSoft' : 'transparent'}
                cursor="pointer"
                aria-current={on}
                onClick={() => openWalk(w.id)}
              >
                <Box
                  color={color}
                  fontWeight="800"
                  w="14px"
                  flexShrink={0}
                  textAlign="center"
                  role="img"
                  aria-label={words}
                >
                  {mark}
                </Box>
                <Box minW={0}>
                  <Box fontWeight="700">{w.name}</Box>
                  <Box fontSize="note" color={on ? 'ink' : 'muted'}>
                    {lineOf(w, results[w.id], going.includes(w.id))}
                  </Box>
                </Box>
              </Flex>
            );
          })}
        </Box>
      </Flex>
      <WalkSteps
        key={chosen.id}
        walk={chosen}
        result={result}
        going={going.includes(chosen.id)}
        onGo={() => void go([chosen.id])}
      />
      <WalkSide walk={chosen} result={result} problem={problem} />
    </Flex>
  );
}

function NoWalks() {
  return (
    <Box as="main" flex="1" p="14px 22px">
      <Box as="h1" fontSize="head" fontWeight="800" mb="8px">
        Walks
      </Box>
      <Box color="muted" maxW="560px">
        There is none yet. Press “Record” in the Screen view and use the application as somebody would: what you press
        and where you come to is kept, step by step, and gone again whenever you want to know whether it is still so.
      </Box>
    </Box>
  );
}

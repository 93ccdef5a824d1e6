import { Box, Flex } from '@chakra-ui/react';
import { Refused } from '../../../api/client';
import { Message, Waiting, WayOn } from '../../../ui/Message';
import { useWhole } from '../context';
import { useWalks } from './useWalks';
import { WalkList } from './WalkList';
import { WalkPlayer } from './WalkPlayer';
import { WalkSide } from './WalkSide';
import { WalkSteps } from './WalkSteps';
import { watchedIn } from './walks';

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
  const { walk, step } = watchedIn(item);
  const chosen = all.find((w) => w.id === walk) ?? all[0];
  const result = chosen && results[chosen.id];
  if (!chosen) return <NoWalks />;
  return (
    <Flex as="main" flex="1" minH={0} minW={0}>
      {step === undefined && (
        <WalkList
          all={all}
          chosen={chosen.id}
          results={results}
          going={going}
          onOpen={openWalk}
          onGo={() => void go(all.map((w) => w.id))}
        />
      )}
      <WalkSteps
        key={chosen.id}
        walk={chosen}
        result={result}
        going={going.includes(chosen.id)}
        watched={step}
        onGo={() => void go([chosen.id])}
        onWatch={(to) => openWalk(`${chosen.id}~${to}`)}
      />
      {step === undefined ? (
        <WalkSide walk={chosen} result={result} problem={problem} />
      ) : (
        <WalkPlayer
          walk={chosen}
          step={step}
          onStep={(to) => openWalk(to === undefined ? chosen.id : `${chosen.id}~${to}`)}
        />
      )}
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

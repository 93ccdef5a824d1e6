import { Box, Flex } from '@chakra-ui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask, Refused, type View, type WalkTold } from '../../../api/client';
import { entityOf } from '../../../document/parts';
import { Action, Select } from '../../../ui/controls';
import { Waiting } from '../../../ui/Message';
import { useSteady } from '../../../ui/useSteady';
import { useWhole } from '../context';
import { Drawn } from '../Drawn';

interface PlayerProps {
  walk: WalkTold;
  step: string; // the last that was gone; '' for none
  onStep: (step: string | undefined) => void; // undefined: nothing is drawn any more
}

const speeds: [ms: number, words: string][] = [
  [2500, 'slowly'],
  [1200, 'at a walk'],
  [400, 'quickly'],
];

/** A walk drawn: the screen where one stands after a step; where it differs, what was expected beside what was found. */
export function WalkPlayer({ walk, step, onStep }: PlayerProps) {
  const { project, draft } = useWhole();
  const [playing, setPlaying] = useState(false);
  const [pace, setPace] = useState(1200);
  const n = walk.steps.findIndex((s) => s.id === step);
  const next = walk.steps[n + 1];
  const shown = useQuery({
    queryKey: ['shown', project, draft.seq, walk.id, step],
    queryFn: () =>
      ask(
        api.POST('/api/build/{project}/walks/shown', {
          params: { path: { project } },
          body: { walk: walk.id, step: step || undefined },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  const differs = shown.data?.differs;
  const ready = !shown.isFetching && !shown.isPlaceholderData;
  const go = useSteady(onStep);
  const goesOn = playing && ready && next && !differs ? next.id : undefined;
  useEffect(() => {
    if (goesOn === undefined) return;
    const timer = setTimeout(() => go(goesOn), pace);
    return () => clearTimeout(timer);
  }, [goesOn, pace, go]);
  const over = !next || Boolean(differs);
  const pressedNext = entityOf(draft.entities, walk.id, 'walk')?.steps?.[next?.id ?? ''];
  return (
    <Flex as="section" aria-label="Drawn" direction="column" flex="2" minW={0} minH={0} gap="8px" p="14px 22px 14px 0">
      <Flex gap="6px" align="center" wrap="wrap">
        <Action aria-label="A step back" disabled={n < 0} onClick={() => onStep(walk.steps[n - 1]?.id ?? '')}>
          ←
        </Action>
        <Action aria-label="A step on" disabled={over} onClick={() => onStep(next?.id)}>
          →
        </Action>
        <Action tone="main" disabled={over && !playing} onClick={() => setPlaying(!playing || over)}>
          {playing && !over ? 'Stop' : 'Play'}
        </Action>
        <Select
          aria-label="How fast"
          fontSize="note"
          minH="32px"
          value={pace}
          onChange={(e) => setPace(Number(e.target.value))}
        >
          {speeds.map(([ms, words]) => (
            <option key={ms} value={ms}>
              {words}
            </option>
          ))}
        </Select>
        <Box flex="1" />
        <Action onClick={() => onStep(undefined)}>Enough</Action>
      </Flex>
      <Box fontSize="note" aria-live="polite" color={differs ? 'brick' : 'ink'}>
        {differs
          ? `${differs.step ? `Step ${walk.steps.findIndex((s) => s.id === differs.step) + 1} differs` : 'It cannot be begun'}: expected ${differs.expected}, found ${differs.found}. ${differs.why ?? ''}`
          : n < 0
            ? 'Before the first step'
            : `${n + 1} of ${walk.steps.length}: ${walk.steps[n]?.words}`}
      </Box>
      {shown.error instanceof Refused ? (
        <Box role="alert" color="brick">
          {shown.error.problem.what} {shown.error.problem.then}
        </Box>
      ) : !shown.data ? (
        <Waiting what="Going there …" />
      ) : (
        <Flex direction="column" gap="10px" flex="1" minH={0}>
          {shown.data.expected && (
            <Drawn title="Expected" view={shown.data.expected} label={`Expected: ${shown.data.expected.heading}`} />
          )}
          {shown.data.stands ? (
            <Layers below={shown.data.below} over={shown.data.over}>
              <Drawn
                title={shown.data.expected ? 'Found' : undefined}
                view={shown.data.stands}
                lit={
                  pressedNext?.does === 'press'
                    ? pressedNext.element
                    : differs
                      ? entityOf(draft.entities, walk.id, 'walk')?.steps?.[differs.step]?.element
                      : undefined
                }
                label={`Found: ${shown.data.stands.heading}`}
              />
            </Layers>
          ) : (
            <Box color="muted">There is no screen to be drawn: it is refused.</Box>
          )}
        </Flex>
      )}
    </Flex>
  );
}

/** What lies over a screen, where something does: the screen below it shows around it. */
function Layers({ below, over, children }: { below?: View; over?: string; children: React.ReactNode }) {
  if (!below) return children;
  return (
    <Flex direction="column" position="relative" flex="1" minH={0}>
      <Drawn view={below} label={`Below: ${below.heading}`} />
      <Flex
        direction="column"
        position="absolute"
        inset={over === 'drawer' ? '0 0 0 45%' : '9% 12%'}
        bg="paper"
        boxShadow="lg"
        borderRadius="6px"
      >
        {children}
      </Flex>
    </Flex>
  );
}

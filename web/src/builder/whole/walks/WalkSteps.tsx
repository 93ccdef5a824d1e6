import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { WalkResult, WalkTold } from '../../../api/client';
import type { WalkStep } from '../../../document/document.gen';
import { newId } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { useWhole } from '../context';
import { StepForm } from './StepForm';
import { StepLine } from './StepLine';
import { has, kindOf, stepOf } from './stepKinds';
import { WalkHead } from './WalkHead';
import { posAfter, screenAt, stepPut } from './walks';

interface StepsProps {
  walk: WalkTold;
  result: WalkResult | undefined;
  going: boolean;
  watched: string | undefined; // the step that is drawn
  onGo: () => void;
  onWatch: (step: string) => void;
}

/** What is put in, after a step ('' for before all), or put otherwise. */
type Doing = { after: string } | { step: string };

/** One walk: its name, who goes it, and its steps with how far it went. */
export function WalkSteps({ walk, result, going, watched, onGo, onWatch }: StepsProps) {
  const { draft, edit } = useWhole();
  const [at, setAt] = useState<string>(); // the step whose changes are offered
  const [doing, setDoing] = useState<Doing>();
  const steps = entityOf(draft.entities, walk.id, 'walk')?.steps ?? {};
  // Where it is done does not have to be said: then it is where one stands by what is before it.
  const whereSome = (step: WalkStep, before: string) =>
    has(kindOf(step), 'screen') ? screenAt(walk, steps, result, before) || undefined : undefined;
  const putIn = (after: string) => (
    <StepForm
      label="A new step"
      step={stepOf('press', screenAt(walk, steps, result, after), posAfter(steps, after))}
      onClose={() => setDoing(undefined)}
      onKeep={(step) => {
        setDoing(undefined);
        void edit(stepPut(draft.entities, walk.id, newId('w'), step));
      }}
    />
  );
  return (
    <Flex direction="column" flex="1" minW={watched === undefined ? 0 : '380px'} minH={0} p="14px 22px 0">
      <WalkHead walk={walk} going={going} onGo={onGo} onWatch={() => onWatch(walk.steps[0]?.id ?? '')} />
      <Box
        as="ol"
        overflowY="auto"
        flex="1"
        minH={0}
        pb="22px"
        listStyleType="none"
        aria-label={`Steps of ${walk.name}`}
      >
        {walk.steps.map((s, i) => {
          const step = steps[s.id];
          return (
            <Box as="li" key={s.id}>
              {doing && 'step' in doing && doing.step === s.id && step ? (
                <StepForm
                  label={`Step ${i + 1}`}
                  step={{ ...step, screen: step.screen ?? whereSome(step, walk.steps[i - 1]?.id ?? '') }}
                  onClose={() => setDoing(undefined)}
                  onKeep={(to) => {
                    setDoing(undefined);
                    void edit(stepPut(draft.entities, walk.id, s.id, to));
                  }}
                />
              ) : (
                <StepLine
                  walk={walk}
                  n={i}
                  result={result}
                  on={watched === s.id}
                  offered={at === s.id}
                  onOffer={() => setAt(s.id)}
                  onWatch={() => onWatch(s.id)}
                  onChange={() => setDoing({ step: s.id })}
                  onPutIn={() => setDoing({ after: s.id })}
                />
              )}
              {doing && 'after' in doing && doing.after === s.id && putIn(s.id)}
            </Box>
          );
        })}
        {doing && 'after' in doing && doing.after === '' ? (
          putIn('')
        ) : (
          <Box as="li" mt="6px">
            <Action tone="quiet" onClick={() => setDoing({ after: walk.steps.at(-1)?.id ?? '' })}>
              + a step
            </Action>
          </Box>
        )}
      </Box>
    </Flex>
  );
}

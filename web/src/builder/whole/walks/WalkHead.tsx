import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { api, ask, Refused, type WalkTold } from '../../../api/client';
import { put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { Action, Line, Select } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { WhoOptions } from '../../WhoOptions';
import { useWhole } from '../context';
import { PlantSays } from './PlantSays';
import { WalkName } from './WalkName';

interface HeadProps {
  walk: WalkTold;
  going: boolean;
  onGo: () => void;
  onWatch: () => void;
}

/** What a walk is called, who goes it and when: each can be put otherwise. */
export function WalkHead({ walk, going, onGo, onWatch }: HeadProps) {
  const { draft } = useWhole();
  const [open, setOpen] = useState(false);
  const of = entityOf(draft.entities, walk.id, 'walk');
  const says = Object.keys(of?.plant ?? {}).length;
  return (
    <Box mb="10px">
      <Flex align="flex-start" gap="8px">
        <Box flex="1" minW={0}>
          <WalkName walk={walk} />
          <Box fontSize="note" color="muted">
            as {walk.who}; {walk.at ? `the clock stands at ${walk.at}` : 'the clock goes on'}
            {says > 0 && `; the plant says ${says} ${says === 1 ? 'value' : 'values'}`}.{' '}
            <Box
              as="button"
              textDecoration="underline"
              cursor="pointer"
              aria-expanded={open}
              onClick={() => setOpen(!open)}
            >
              {open ? 'enough' : 'change'}
            </Box>
          </Box>
        </Box>
        <Action onClick={onWatch}>Watch it</Action>
        <Action disabled={going} onClick={onGo}>
          {going ? 'On its way …' : 'Go it'}
        </Action>
      </Flex>
      {open && <Conditions walk={walk} />}
    </Box>
  );
}

/** Who goes it, when, and what the plant says at the beginning. */
function Conditions({ walk }: { walk: WalkTold }) {
  const { project, draft, edit } = useWhole();
  const [problem, setProblem] = useState('');
  const of = entityOf(draft.entities, walk.id, 'walk');
  if (!of) return null;
  const setWho = async (as: string) => {
    setProblem('');
    try {
      const { who } = await ask(
        api.POST('/api/build/{project}/walks/recorded', { params: { path: { project } }, body: { as, steps: [] } }),
      );
      await edit(put(draft.entities, [walk.id, 'who'], who));
    } catch (e) {
      if (!(e instanceof Refused)) throw e;
      setProblem(`${e.problem.what} ${e.problem.then ?? ''}`);
    }
  };
  return (
    <Flex
      direction="column"
      gap="8px"
      p="10px 12px"
      mt="6px"
      bg="plate"
      borderWidth="1px"
      borderColor="rule"
      borderRadius="4px"
      fontSize="note"
    >
      <Flex gap="12px" wrap="wrap">
        <Labelled label="Who goes it">
          <Select
            aria-label="Who goes it"
            fontSize="note"
            value=""
            onChange={(e) => e.target.value && void setWho(e.target.value)}
          >
            <option value="">{walk.who}</option>
            <WhoOptions draft={draft} />
          </Select>
        </Labelled>
        <Labelled label="Where the clock stands; empty: it goes on">
          <Line
            key={of.at ?? ''}
            type="datetime-local"
            aria-label="Where the clock stands"
            fontSize="note"
            defaultValue={of.at ?? ''}
            onBlur={(e) =>
              e.target.value !== (of.at ?? '') &&
              void edit(put(draft.entities, [walk.id, 'at'], e.target.value.slice(0, 16) || undefined))
            }
          />
        </Labelled>
      </Flex>
      <Labelled label="What the plant says when it begins; nothing else of it is known">
        <PlantBefore walk={walk.id} plant={of.plant ?? {}} />
      </Labelled>
      {problem && (
        <Box role="alert" color="brick">
          {problem}
        </Box>
      )}
    </Flex>
  );
}

/** It is kept as one edit, when one is done with it. */
function PlantBefore({ walk, plant }: { walk: string; plant: Record<string, unknown> }) {
  const { draft, edit } = useWhole();
  const [now, setNow] = useState(plant);
  const other = JSON.stringify(now) !== JSON.stringify(plant);
  return (
    <>
      <PlantSays plant={now} onPlant={setNow} />
      {other && (
        <Flex gap="6px" mt="6px">
          <Action
            tone="main"
            onClick={() =>
              void edit(put(draft.entities, [walk, 'plant'], Object.keys(now).length > 0 ? now : undefined))
            }
          >
            Keep what it says
          </Action>
          <Action tone="quiet" onClick={() => setNow(plant)}>
            Cancel
          </Action>
        </Flex>
      )}
    </>
  );
}

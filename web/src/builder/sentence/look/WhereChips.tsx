import { Box, Flex } from '@chakra-ui/react';
import type { Element } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { inOrder } from '../../../document/parts';
import { elementsOf, screenOf } from '../../../document/screens';
import { useBuild } from '../../context';
import { ChosenPart } from '../../elements/parts/ChosenPart';

const modes = ['view', 'edit', 'add'] as const;

/** In which modes of a form, and in which tab, an element stands. */
export function WhereChips({ path, element: e }: { path: string[]; element: Element }) {
  const { entities, screen } = useBuild();
  const onScreen = path[1] === 'elements' && path[0] === screen;
  if (!onScreen) return null;
  const tabs = elementsOf(entities, screen).flatMap((other) =>
    inOrder(other.kind === 'tabs' ? other.tabs : other.kind === 'steps' ? other.steps : undefined).map(
      (t) => [`${other.id}.${t.id}`, `while “${t.label}” is open`] as const,
    ),
  );
  return (
    <>
      {screenOf(entities, screen)?.type === 'form' && <Modes path={path} element={e} />}
      {tabs.length > 0 && e.kind !== 'tabs' && e.kind !== 'steps' && (
        <ChosenPart
          path={path}
          name="tab"
          label="In a tab or step"
          value={e.tab}
          among={[['', 'always there'], ...tabs]}
        />
      )}
    </>
  );
}

function Modes({ path, element: e }: { path: string[]; element: Element }) {
  const { entities, edit } = useBuild();
  const on = (m: string) => !e.modes || e.modes[m] === true;
  const turn = (mode: string) => {
    const next = modes.filter((m) => (m === mode ? !on(m) : on(m)));
    if (next.length === 0) return;
    const set = next.length === modes.length ? undefined : Object.fromEntries(next.map((m) => [m, true]));
    void edit(put(entities, [...path, 'modes'], set));
  };
  return (
    <Box>
      <Box color="muted" mb="2px">
        There when
      </Box>
      <Flex gap="10px" minH="34px" align="center" role="group" aria-label="There when">
        {modes.map((m) => (
          <Flex as="label" key={m} gap="5px" align="center">
            <input type="checkbox" checked={on(m)} onChange={() => turn(m)} />
            {{ view: 'viewed', edit: 'edited', add: 'added' }[m]}
          </Flex>
        ))}
      </Flex>
    </Box>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { May } from '../../../api/client';
import { rolesOf } from '../../../document/project';
import { recordTable, screenOf } from '../../../document/screens';
import { Glyph } from '../../../ui/Glyph';
import { useRights } from '../context';
import { ViewHead } from '../ViewHead';
import { ChosenRight } from './ChosenRight';
import { GuardLine } from './GuardLine';
import { Matrix } from './Matrix';

const marks: Record<string, [mark: string, color: string]> = {
  yes: ['✓', 'pine'],
  no: ['✕', 'brick'],
  depends: ['?', 'amberText'],
};

/** Roles by screens: who may be where, and what decides it. */
export function ScreensMatrix() {
  const { project, as, entities, rights, edit, openScreen, openData } = useRights();
  const [chosen, setChosen] = useState<string>();
  const roles = rolesOf(entities);
  const [screen, role] = chosen?.split('|') ?? [];
  const row = rights.screens.find((s) => s.screen === screen);
  const may = row?.cells.find((c) => c.role === role);
  const rows = [...rights.screens].sort(
    (a, b) => (a.area ?? '').localeCompare(b.area ?? '') || a.title.localeCompare(b.title),
  );
  const name = (id: string) => roles.find((r) => r.id === id)?.name ?? '';
  const table = recordTable(screenOf(entities, screen));
  return (
    <>
      <ViewHead title="Roles and screens">
        Who may be on each screen at all, by a way or by address: grants on its table, then its guard.
      </ViewHead>
      <Matrix
        label="Roles and screens"
        columns={roles.map((r) => ({ id: r.id, head: r.name }))}
        rows={rows.map((s) => ({
          id: s.screen,
          group: s.area || 'No area',
          head: (
            <Flex
              as="button"
              align="center"
              gap="8px"
              cursor="pointer"
              fontWeight="700"
              _hover={{ textDecoration: 'underline' }}
              onClick={() => openScreen(s.screen)}
            >
              <Glyph name={s.type} size={15} /> {s.title}
            </Flex>
          ),
          cells: s.cells.map((c) => ({
            id: `${s.screen}|${c.role}`,
            label: `${name(c.role)}, ${s.title}: ${c.state}, ${c.words}`,
            content: <MayCell may={c} />,
          })),
        }))}
        chosen={chosen}
        onChoose={setChosen}
      />
      <ChosenRight hint="Choose a cell to read the screen’s guard as a sentence and to change it.">
        {row && may && role && (
          <>
            <GuardLine
              project={project}
              as={as}
              entities={entities}
              screen={row.screen}
              sentence={row.sentence}
              edit={edit}
              onTable={() => openData(table ?? 'tables')}
            />
            <Box fontSize="note" color="muted">
              <b>{name(role)}</b>:{' '}
              {{ yes: `${may.words}.`, no: `may not be here: ${may.words}.`, depends: `may be here ${may.words}.` }[
                may.state
              ] ?? ''}
            </Box>
          </>
        )}
      </ChosenRight>
    </>
  );
}

function MayCell({ may }: { may: May }) {
  const shut = may.by === 'list'; // one gets in, and its list stays shut
  const [mark, color] = shut ? ['–', 'amberText'] : (marks[may.state] ?? ['', 'muted']);
  return (
    <Flex gap="6px" align="baseline">
      <Box as="span" color={color} fontWeight="800" aria-hidden="true">
        {mark}
      </Box>
      <Box
        color={may.state === 'yes' && !shut ? 'ink' : 'muted'}
        fontWeight={may.state === 'yes' && !shut ? '600' : '400'}
      >
        {shut ? may.words : may.state === 'yes' ? 'yes' : may.by === 'roles' ? 'not for them' : may.words}
      </Box>
    </Flex>
  );
}

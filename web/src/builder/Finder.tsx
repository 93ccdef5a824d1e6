import { Box, Dialog, Portal } from '@chakra-ui/react';
import type { Draft, Finding } from '../api/client';
import { conditionsOf, entitiesOf, placeOf, screensOf, tablesOf } from './document';
import { type Choice, Picker } from './Picker';
import { dataPages } from './rights/pages';

/** Ctrl+K: any screen, table, shared condition or table of rights by any word of it. */
export function Finder({
  draft,
  onOpen,
  onData,
  onClose,
}: {
  draft: Draft;
  onOpen: (screen: string) => void;
  onData: (item: string) => void;
  onClose: () => void;
}) {
  const entities = entitiesOf(draft);
  const screens: Choice[] = screensOf(entities).map((s) => ({
    id: s.id,
    words: s.title,
    note: `${s.type} · /${s.slug}`,
    glyph: s.type,
    group: s.area || 'No area',
  }));
  const data: Choice[] = [
    ...dataPages.map(([id, words]) => ({ id, words, group: 'Rights' })),
    ...tablesOf(entities).map((t) => ({ id: t.id, words: t.label, note: 'fields and rights', group: 'Tables' })),
    ...conditionsOf(entities).map((c) => ({ id: c.id, words: c.name, note: 'shared condition', group: 'Conditions' })),
  ];
  const choose = (c: Choice) => {
    if (screens.includes(c)) onOpen(c.id);
    else onData(conditionsOf(entities).some((x) => x.id === c.id) ? 'conditions' : c.id);
  };
  return (
    <Box position="fixed" inset="0" zIndex="modal" bg="rgba(20, 24, 30, 0.3)">
      <Box position="absolute" left="50%" top="90px" ml="-155px">
        <Picker label="Find a screen or table" choices={[...screens, ...data]} onChoose={choose} onClose={onClose} />
      </Box>
    </Box>
  );
}

/** All findings, broken ones first; each leads to its place. */
export function FindingsDialog({
  draft,
  onOpen,
  onClose,
}: {
  draft: Draft;
  onOpen: (f: Finding) => void;
  onClose: () => void;
}) {
  const screens = new Map(screensOf(entitiesOf(draft)).map((s) => [s.id, s.title]));
  return (
    <Dialog.Root open onOpenChange={(d) => !d.open && onClose()} scrollBehavior="inside">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content
            bg="plate"
            color="ink"
            borderRadius="4px"
            maxW="720px"
            borderTopWidth="6px"
            borderColor="amber"
          >
            <Dialog.Header pb="4px">
              <Dialog.Title fontSize="head" fontWeight="800">
                {draft.findings.length === 0 ? 'Nothing was found wrong' : 'What the checks found'}
              </Dialog.Title>
            </Dialog.Header>
            <Dialog.Body pb="18px">
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
                    {f.severity} · {screens.get(f.screen) ?? placeOf(entitiesOf(draft), f.entity)}
                  </Box>
                  <Box fontWeight="600">{f.words}</Box>
                  {f.evidence && (
                    <Box fontSize="note" color="muted">
                      {f.evidence}
                    </Box>
                  )}
                </Box>
              ))}
            </Dialog.Body>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}

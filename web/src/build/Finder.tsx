import { Box, Dialog, Portal } from '@chakra-ui/react';
import type { Draft, Finding } from '../api/client';
import { entitiesOf, screensOf } from './document';
import { Picker } from './Picker';

/** Ctrl+K: any screen by any word of it. */
export function Finder({
  draft,
  onOpen,
  onClose,
}: {
  draft: Draft;
  onOpen: (screen: string) => void;
  onClose: () => void;
}) {
  const screens = screensOf(entitiesOf(draft));
  return (
    <Box position="fixed" inset="0" zIndex="modal" bg="blackAlpha.300">
      <Box position="absolute" left="50%" top="90px" ml="-155px">
        <Picker
          label="Find a screen"
          choices={screens.map((s) => ({
            id: s.id,
            words: s.title,
            note: `${s.type} · /${s.slug}`,
            glyph: s.type,
            group: s.area || 'No area',
          }))}
          onChoose={(c) => onOpen(c.id)}
          onClose={onClose}
        />
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
                  key={f.check + f.screen + f.element + f.words}
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
                    {f.severity} · {screens.get(f.screen) ?? 'the project'}
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

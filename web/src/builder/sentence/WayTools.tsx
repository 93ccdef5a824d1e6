import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { put } from '../../document/edit';
import { ownedOf } from '../../document/owner';
import { Action } from '../../ui/controls';
import { useBuild } from '../context';
import { Pop } from '../Pop';
import { copy, lookOf, lookParts, useCopied } from './clipboard';
import { ownGateOf, refOf, takeOut } from './wiring';

/** Copy and paste of the wiring, the look, or both; and taking the way out. */
export function WayTools() {
  const build = useBuild();
  const { way, entities, edit, choose } = build;
  const copied = useCopied();
  const [open, setOpen] = useState(false);
  if (!way) return null;
  const ref = refOf(build, way);
  const owned = ownedOf(entities, build.screen, way.element);
  const button = owned?.element?.kind === 'button' ? owned.element : undefined;
  const wired = ownGateOf(ref);
  const copyWiring = () => wired && copy({ wiring: { words: way.words, gate: wired } });
  const copyLook = () => button && copy({ look: { words: way.words, body: lookOf(button) } });
  const pasteWiring = () => (copied.wiring ? put(entities, ref.at, copied.wiring.gate) : []);
  const pasteLook = () =>
    owned && button && copied.look
      ? lookParts.flatMap((k) => put(entities, [...owned.path, k], copied.look?.body[k]))
      : [];
  const act = (run: () => unknown) => () => {
    setOpen(false);
    run();
  };
  return (
    <Box position="relative" fontSize="note">
      <Action tone="quiet" aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(!open)}>
        copy, paste, remove
      </Action>
      {open && (
        <Pop label="Copy, paste, remove" onClose={() => setOpen(false)}>
          <Flex direction="column" p="10px" gap="6px" minW="260px" align="stretch">
            <Action autoFocus disabled={wired === undefined} onClick={act(copyWiring)}>
              copy its wiring
            </Action>
            {button && <Action onClick={act(copyLook)}>copy its look</Action>}
            {button && (
              <Action
                onClick={act(() => {
                  copyWiring();
                  copyLook();
                })}
              >
                copy both
              </Action>
            )}
            {copied.wiring && (
              <Action onClick={act(() => void edit(pasteWiring()))}>paste the wiring of “{copied.wiring.words}”</Action>
            )}
            {button && copied.look && (
              <Action onClick={act(() => void edit(pasteLook()))}>paste the look of “{copied.look.words}”</Action>
            )}
            {button && copied.look && copied.wiring && (
              <Action onClick={act(() => void edit([...pasteWiring(), ...pasteLook()]))}>paste both</Action>
            )}
            <Action
              tone="bad"
              disabled={wired === undefined}
              onClick={act(() => {
                void edit(takeOut(ref));
                if (way.trigger !== 'release' && way.trigger !== 'press') choose(undefined);
              })}
            >
              remove this way
            </Action>
          </Flex>
        </Pop>
      )}
    </Box>
  );
}

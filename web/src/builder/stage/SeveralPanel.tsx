import { Box, Flex } from '@chakra-ui/react';
import type { Cell } from '../../document/document.gen';
import { put } from '../../document/edit';
import { elementsOf, screenOf } from '../../document/screens';
import { Action } from '../../ui/controls';
import { useBuild } from '../context';
import { builtOf } from '../elements/all';
import { useCopied } from '../sentence/clipboard';
import { intoGroup, intoTabs } from './gather';
import {
  fitsRail,
  inColumn,
  inRow,
  isWired,
  sameHeight,
  sameLook,
  sameWidth,
  sameWiring,
  takenOut,
  toRail,
} from './several';

const stripFrom = 2; // elements

/** What can be done with several elements at once; each is one step that one undo takes back. */
export function SeveralPanel() {
  const { entities, screen, several, chosen, edit, choose } = useBuild();
  const copied = useCopied();
  const all = elementsOf(entities, screen).filter((e) => several.includes(e.id));
  const as = all.find((e) => e.id === chosen) ?? all.at(-1);
  if (!as) return null;
  const operator = screenOf(entities, screen)?.type === 'operator';
  const place = (cells: Map<string, Cell>) =>
    void edit([...cells].flatMap(([id, cell]) => put(entities, [screen, 'elements', id, 'cell'], cell)));
  const gone = (ops: ReturnType<typeof takenOut>) => {
    choose(undefined);
    void edit(ops);
  };
  const gather = ({ id, ops }: ReturnType<typeof intoGroup>) => void edit(ops).then(() => choose(id));
  const strip = all.filter(fitsRail);
  return (
    <>
      <Box fontWeight="800" mb="8px">
        {all.length} elements chosen
      </Box>
      <Flex gap="8px" wrap="wrap" fontSize="note">
        <Action onClick={() => place(sameWidth(all, as))}>same width</Action>
        {all.every((e) => operator || builtOf(e).tall) && (
          <Action onClick={() => place(sameHeight(all, as))}>same height</Action>
        )}
        <Action onClick={() => place(inColumn(all, as))}>below each other</Action>
        <Action onClick={() => place(inRow(all, as))}>side by side, spread evenly</Action>
        {all.filter((e) => e.kind === 'button').length > 1 && as.kind === 'button' && (
          <Action onClick={() => void edit(sameLook(entities, screen, all, as))}>same look</Action>
        )}
        {copied.wiring && all.some(isWired) && (
          <Action onClick={() => copied.wiring && void edit(sameWiring(entities, screen, all, copied.wiring.gate))}>
            paste the wiring of “{copied.wiring.words}”
          </Action>
        )}
        <Action onClick={() => gather(intoGroup(entities, screen, all, operator))}>into a group</Action>
        {!operator && <Action onClick={() => gather(intoTabs(entities, screen, all))}>into tabs</Action>}
        {strip.length >= stripFrom && (
          <>
            <Action onClick={() => gone(toRail(entities, screen, strip, 'bottom').ops)}>
              put on all screens, as a strip below
            </Action>
            <Action onClick={() => gone(toRail(entities, screen, strip, 'left').ops)}>as a strip at the left</Action>
          </>
        )}
        <Action tone="bad" onClick={() => gone(takenOut(entities, screen, all))}>
          Remove them
        </Action>
      </Flex>
      <Box color="muted" fontSize="note" mt="10px">
        A press with Shift chooses one more, or lets one go; a frame drawn from an empty place chooses what it covers.
        The last one is the measure.
      </Box>
    </>
  );
}

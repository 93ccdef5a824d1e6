import { Box, Flex } from '@chakra-ui/react';
import { Action } from '../ui/controls';
import { useBuild } from './context';
import { screensOf } from './document';
import { at, put } from './edit';

/** What the bottom says while nothing is chosen: what one can do, and the screen's own settings. */
export function ScreenTab() {
  const { entities, screen, edit } = useBuild();
  const doc = screensOf(entities).find((s) => s.id === screen);
  if (!doc) return null;
  const strip = (bare: boolean) => void edit(put(entities, [screen, 'bare'], bare ? true : undefined));
  return (
    <Flex gap="40px" h="full">
      <Box flex="1">
        <Box fontWeight="800" mb="6px">
          {doc.title}
        </Box>
        <Box color="muted" maxW="560px">
          Choose something on the screen, or a plate, to read and change its way. The first click chooses, a second one
          acts as for the walked user, and nothing is kept. “+ add here” makes something new.
        </Box>
      </Box>
      <Box fontSize="note">
        <Box color="muted" mb="4px">
          Its address ends in <b>/{doc.slug}</b>
        </Box>
        <Box color="muted" mb="6px">
          The strip with back, forward and home is {doc.bare ? 'not shown' : 'shown'} here.
        </Box>
        <Action onClick={() => strip(at(entities, [screen, 'bare']) !== true)}>
          {doc.bare ? 'Show the strip' : 'Do without the strip'}
        </Action>
      </Box>
    </Flex>
  );
}

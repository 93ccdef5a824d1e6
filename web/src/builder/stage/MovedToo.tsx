import { Box, Flex } from '@chakra-ui/react';
import type { Cell } from '../../document/document.gen';
import { elementsOf } from '../../document/screens';
import { Action } from '../../ui/controls';
import { useBuild } from '../context';
import { likesOf, movedToo } from './samePlace';

/** An element that was moved, and where it stood before. */
export interface Moved {
  screen: string;
  id: string;
  was: Cell;
}

/** Offers to move what stands in the same place on other screens, once an element was moved. */
export function MovedToo({ moved, onDone }: { moved: Moved; onDone: () => void }) {
  const { entities, edit } = useBuild();
  const one = elementsOf(entities, moved.screen).find((e) => e.id === moved.id);
  const likes = one ? likesOf(entities, moved.screen, one, moved.was) : [];
  if (!one || likes.length === 0) return null;
  const screens = likes.length === 1 ? 'one other screen' : `${likes.length} other screens`;
  return (
    <Flex
      role="status"
      position="absolute"
      bottom="8px"
      left="50%"
      transform="translateX(-50%)"
      zIndex="docked"
      align="center"
      gap="10px"
      px="12px"
      py="4px"
      bg="plate"
      borderWidth="1px"
      borderColor="amber"
      borderRadius="4px"
      boxShadow="md"
      fontSize="note"
    >
      <Box>The same stands in that place on {screens}.</Box>
      <Action
        minH="28px"
        onClick={() => {
          onDone();
          void edit(movedToo(entities, likes, one.cell));
        }}
      >
        move it there too
      </Action>
      <Action tone="quiet" minH="28px" aria-label="Leave the others where they are" onClick={onDone}>
        ✕
      </Action>
    </Flex>
  );
}

import { Flex } from '@chakra-ui/react';
import type { Way } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { Action } from '../../../ui/controls';
import { useBuild } from '../../context';
import { lookOf } from './all';

/** What sets off a way of the screen itself: which swipe, which keys, after which time. */
export function WayLook({ path, way }: { path: string[]; way: Way }) {
  const { entities, edit, choose } = useBuild();
  return (
    <Flex gap="14px" align="flex-end" fontSize="note">
      {lookOf(path, way)}
      <Action
        tone="bad"
        aria-label="Remove this way"
        onClick={() => {
          choose(undefined);
          void edit(put(entities, path, undefined));
        }}
      >
        Remove
      </Action>
    </Flex>
  );
}

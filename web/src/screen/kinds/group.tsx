import { Heading } from '@chakra-ui/react';
import type { ElementKind } from './kind';

/** The heading of a group; its frame is drawn around what stands in it. */
export const group: ElementKind<'group'> = {
  Draw: ({ element }) => (
    <Heading as="h2" fontSize="text" fontWeight="800">
      {element.group.words}
    </Heading>
  ),
  words: (e) => e.group.words,
};

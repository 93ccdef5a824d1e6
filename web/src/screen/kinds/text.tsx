import { Heading, Text } from '@chakra-ui/react';
import type { ElementKind } from './kind';

/** A text: a heading, a note, or plain words. */
export const text: ElementKind<'text'> = {
  Draw: function Words({ element }) {
    const { style, words } = element.text;
    if (style === 'heading') {
      return (
        <Heading as="h2" fontSize="head" fontWeight="800" mt="8px">
          {words}
        </Heading>
      );
    }
    return (
      <Text fontSize={style === 'note' ? 'note' : 'text'} color={style === 'note' ? 'muted' : 'ink'}>
        {words}
      </Text>
    );
  },
  words: (e) => e.text.words,
};

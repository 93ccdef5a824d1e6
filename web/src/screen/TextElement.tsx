import { Heading, Text } from '@chakra-ui/react';
import type { View } from '../api/client';

type TextView = NonNullable<View['elements'][number]['text']>;

/** A text: a heading, a note, or plain words. */
export function TextElement({ text }: { text: TextView }) {
  if (text.style === 'heading') {
    return (
      <Heading as="h2" fontSize="head" fontWeight="800" mt="8px">
        {text.words}
      </Heading>
    );
  }
  return (
    <Text fontSize={text.style === 'note' ? 'note' : 'text'} color={text.style === 'note' ? 'muted' : 'ink'}>
      {text.words}
    </Text>
  );
}

import { Heading, Text } from '@chakra-ui/react';
import { later } from '../../ui/later';
import type { ElementKind, OfKind } from './kind';

const Rich = later(async () => (await import('../RichText')).RichText);

const sizes: Record<string, string> = { small: 'note', large: 'head', huge: 'title' };
const weights: Record<string, string> = { light: '300', bold: '800' };

/** A text: a heading, a note, plain words, or more of it with headings, lists and links. */
export const text: ElementKind<'text'> = {
  Draw: function Words({ element }) {
    const { style, words, size, weight, rich } = element.text;
    const usual = { heading: 'head', note: 'note' }[style] ?? 'text';
    const look = { fontSize: sizes[size ?? ''] ?? usual, fontWeight: weights[weight ?? ''] };
    const shown = rich ? <Rich element={element} /> : words;
    if (style === 'heading') {
      return (
        <Heading as="h2" mt="8px" lineHeight="1.25" {...look} fontWeight={look.fontWeight ?? '800'}>
          {shown}
        </Heading>
      );
    }
    return (
      <Text as="div" color={style === 'note' ? 'muted' : 'ink'} {...look}>
        {shown}
      </Text>
    );
  },
  words: (e: OfKind<'text'>) => (e.text.rich ? plain(e.text.words) : e.text.words),
};

/** A text without its markup, in one line. */
function plain(markdown: string): string {
  const words = markdown.replace(/\[([^\]]*)\]\([^)]*\)/g, '$1').replace(/^(#+|[-*]|\d+\.) /gm, '');
  return words
    .replace(/\*|\\(?=\W)/g, '')
    .replace(/\s+/g, ' ')
    .trim();
}

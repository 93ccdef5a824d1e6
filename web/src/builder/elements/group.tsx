import { WordsField } from '../sentence/look/WordsField';
import type { BuiltElement } from './element';

export const group: BuiltElement<'group'> = {
  words: (e) => e.words,
  Look: ({ path }) => <WordsField path={path} name="words" label="Heading" />,
};

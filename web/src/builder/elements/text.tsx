import { WordsField } from '../sentence/look/WordsField';
import type { BuiltElement } from './element';

export const text: BuiltElement<'text'> = {
  words: (e) => e.words,
  Look: ({ path }) => <WordsField path={path} name="words" label="Words" />,
};

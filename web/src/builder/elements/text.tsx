import { WordsField } from '../sentence/look/WordsField';
import type { BuiltElement } from './element';
import { ChosenPart } from './parts/ChosenPart';

const styles = [
  ['', 'plain'],
  ['heading', 'a heading'],
  ['note', 'a note'],
] as const;

export const text: BuiltElement<'text'> = {
  words: (e) => e.words,
  Look: ({ path, element }) => (
    <>
      <WordsField path={path} name="words" label="Words" />
      <ChosenPart path={path} name="style" label="Style" value={element.style} among={styles} />
    </>
  ),
};

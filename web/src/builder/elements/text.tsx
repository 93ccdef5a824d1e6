import { put } from '../../document/edit';
import { WordsField } from '../sentence/look/WordsField';
import type { BuiltElement, OfKind } from './element';
import { ChosenPart } from './parts/ChosenPart';

const styles = [
  ['', 'plain'],
  ['heading', 'a heading'],
  ['note', 'a note'],
] as const;

const sizes = [
  ['', 'as its style has it'],
  ['small', 'small'],
  ['large', 'large'],
  ['huge', 'huge'],
] as const;

const weights = [
  ['', 'as its style has it'],
  ['light', 'light'],
  ['bold', 'bold'],
] as const;

export const text: BuiltElement<'text'> = {
  words: (e) => e.words,
  startsOf: (e) => [
    {
      trigger: 'link',
      at: 'links',
      words: 'a link in it',
      many: 'link',
      // The words of the link stand in the text itself.
      also: (entities, path, id) => put(entities, [...path, 'words'], `${e.words} [a link](${id})`),
      id: freeLink(e),
    },
  ],
  Look: ({ path, element }) => (
    <>
      <WordsField path={path} name="words" label="Words" long />
      <ChosenPart path={path} name="style" label="Style" value={element.style} among={styles} />
      <ChosenPart path={path} name="size" label="Size" value={element.size} among={sizes} />
      <ChosenPart path={path} name="weight" label="Weight" value={element.weight} among={weights} />
    </>
  ),
};

/** The next link of a text: its number is what one types in the text. */
function freeLink(e: OfKind<'text'>): string {
  let n = 1;
  while (e.links?.[`k_${n}`]) n++;
  return `k_${n}`;
}

import { Flex } from '@chakra-ui/react';
import type { Element, Rail } from '../../document/document.gen';
import { newId, put } from '../../document/edit';
import { inOrder, type Kept, posBehind } from '../../document/parts';
import { picturesOf } from '../../document/project';
import { Action } from '../../ui/controls';
import { useBuild } from '../context';
import { RailElementLine } from './RailElementLine';

interface ElementsProps {
  rail: string;
  body: Rail;
  onLeave: () => void;
}

/** What stands on a rail, in order: buttons, texts and pictures; what never folds into “More”. */
export function RailElements({ rail, body, onLeave }: ElementsProps) {
  const { entities, edit, choose, work } = useBuild();
  const here = work.view?.rails?.some((r) => r.id === rail) ?? false;
  const elements = inOrder(body.elements);
  const pictures = picturesOf(entities);
  const leave = (id: string) => {
    onLeave();
    choose(id);
  };
  const add = async (what: Fresh) => {
    const id = newId('e');
    const cell = { row: elements.length + 1, col: 1, w: 12 };
    const made: Element = { pos: posBehind(elements), cell, ...what };
    await edit(put(entities, [rail, 'elements', id], made));
    if (what.kind === 'button' && here) leave(id);
  };
  return (
    <>
      {elements.map((e, i) => (
        <RailElementLine
          key={e.id}
          rail={rail}
          body={body}
          element={e}
          onWay={e.kind === 'button' && here ? () => leave(e.id) : undefined}
          sooner={posBetween(elements, i, -1)}
          later={posBetween(elements, i, 1)}
        />
      ))}
      <Flex gap="8px" pt="10px" borderTopWidth="1px" borderColor="rule">
        <Action onClick={() => void add({ kind: 'button', words: 'New button', gate: {} })}>+ a button on it</Action>
        <Action onClick={() => void add({ kind: 'text', words: 'New text', style: 'note' })}>+ a text</Action>
        {pictures[0] && (
          <Action onClick={() => void add({ kind: 'image', picture: pictures[0]?.id ?? '' })}>+ a picture</Action>
        )}
      </Flex>
    </>
  );
}

/** An element without its place. */
type Fresh = { [E in Element as E['kind']]: Omit<E, 'pos' | 'cell'> }['button' | 'text' | 'image'];

/** The position beyond the neighbour in a direction; undefined at the end. */
function posBetween(all: Kept<Element>[], i: number, by: -1 | 1): number | undefined {
  const other = all[i + by];
  if (!other) return undefined;
  const beyond = all[i + 2 * by]?.pos ?? other.pos + by;
  return (other.pos + beyond) / 2;
}

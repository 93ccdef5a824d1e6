import { Box, Flex } from '@chakra-ui/react';
import { Action, Select } from '../../ui/controls';
import { useBuild } from '../context';
import { text } from '../document';
import { at, type Json, newId, put } from '../edit';
import { WordsField } from '../sentence/WordsField';
import { Tick } from './RailForm';

/** What stands on a rail, in order: buttons, texts and pictures; what never folds into “More”. */
export function RailElements({ rail, onLeave }: { rail: string; onLeave: () => void }) {
  const { entities, edit, choose, work } = useBuild();
  const here = work.view?.rails?.some((r) => r.id === rail) ?? false;
  const elements = Object.entries((at(entities, [rail, 'elements']) as Record<string, Json> | undefined) ?? {}).sort(
    ([, a], [, b]) => Number(at(a, ['pos']) ?? 0) - Number(at(b, ['pos']) ?? 0),
  );
  const drawer = at(entities, [rail, 'drawer']) !== undefined;
  const pictures = Object.entries(entities).filter(([, e]) => text(e, 'kind') === 'picture');
  const pos = (i: number) => Number(at(elements[i]?.[1], ['pos']) ?? i + 1);
  const set = (path: string[], value: Json | undefined) => void edit(put(entities, [rail, ...path], value));
  const move = (i: number, by: number) => {
    const other = i + by;
    const id = elements[i]?.[0];
    if (!id || other < 0 || other >= elements.length) return;
    const beyond = other + by >= 0 && other + by < elements.length ? pos(other + by) : pos(other) + by;
    set(['elements', id, 'pos'], (pos(other) + beyond) / 2);
  };
  const add = async (kind: 'button' | 'text' | 'image') => {
    const id = newId('e');
    const at_ = elements.length > 0 ? pos(elements.length - 1) + 1 : 1;
    const parts: Record<string, Json> = {
      button: { words: 'New button', gate: {} },
      text: { words: 'New text', style: 'note' },
      image: { picture: pictures[0]?.[0] ?? '' },
    }[kind];
    const body = { kind, pos: at_, cell: { row: elements.length + 1, col: 1, w: 12 }, ...parts };
    await edit(put(entities, [rail, 'elements', id], body));
    if (kind !== 'button' || !here) return;
    onLeave();
    choose(id);
  };
  return (
    <>
      {elements.map(([id, e], i) => (
        <Flex key={id} gap="10px" align="center" py="4px" borderTopWidth="1px" borderColor="rule">
          <Box w="56px" color="muted">
            {{ image: 'picture' }[text(e, 'kind')] ?? text(e, 'kind')}
          </Box>
          {text(e, 'kind') === 'image' ? (
            <Select
              aria-label="Picture"
              value={text(e, 'picture')}
              onChange={(c) => set(['elements', id, 'picture'], c.target.value)}
            >
              {pictures.map(([p, body]) => (
                <option key={p} value={p}>
                  {text(body, 'name')}
                </option>
              ))}
            </Select>
          ) : (
            <WordsField path={[rail, 'elements', id]} name="words" label="Words" bare />
          )}
          <Box flex="1" />
          {!drawer && text(e, 'kind') === 'button' && (
            <Tick
              words="never folds"
              on={at(entities, [rail, 'never', id]) === true}
              onTick={() => set(['never', id], at(entities, [rail, 'never', id]) === true ? undefined : true)}
            />
          )}
          <Action tone="quiet" minH="24px" aria-label="Earlier" disabled={i === 0} onClick={() => move(i, -1)}>
            ↑
          </Action>
          <Action
            tone="quiet"
            minH="24px"
            aria-label="Later"
            disabled={i === elements.length - 1}
            onClick={() => move(i, 1)}
          >
            ↓
          </Action>
          <Action
            tone="quiet"
            minH="24px"
            disabled={text(e, 'kind') !== 'button' || !here}
            onClick={() => {
              onLeave();
              choose(id);
            }}
          >
            its way
          </Action>
          <Action tone="quiet" minH="24px" onClick={() => void edit(remove(entities, rail, id))}>
            remove
          </Action>
        </Flex>
      ))}
      <Flex gap="8px" pt="10px" borderTopWidth="1px" borderColor="rule">
        <Action onClick={() => void add('button')}>+ a button on it</Action>
        <Action onClick={() => void add('text')}>+ a text</Action>
        {pictures.length > 0 && <Action onClick={() => void add('image')}>+ a picture</Action>}
      </Flex>
    </>
  );
}

/** An element goes, and with it what is said of its folding. */
function remove(entities: Record<string, Json>, rail: string, id: string) {
  return [...put(entities, [rail, 'never', id], undefined), ...put(entities, [rail, 'elements', id], undefined)];
}

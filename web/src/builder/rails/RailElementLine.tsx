import { Box, Flex } from '@chakra-ui/react';
import type { Element, Rail } from '../../document/document.gen';
import { type Part, put } from '../../document/edit';
import type { Kept } from '../../document/parts';
import { picturesOf } from '../../document/project';
import { Action, Select } from '../../ui/controls';
import { Tick } from '../../ui/Tick';
import { useBuild } from '../context';
import { WordsField } from '../sentence/look/WordsField';

interface LineProps {
  rail: string;
  body: Rail;
  element: Kept<Element>;
  onWay: (() => void) | undefined; // where its way can be changed from here
  sooner: number | undefined; // the position before the one before it
  later: number | undefined;
}

/** One element of a rail: what it shows, its place in the order, and whether it folds. */
export function RailElementLine({ rail, body, element: e, onWay, sooner, later }: LineProps) {
  const { entities, edit } = useBuild();
  const never = body.never?.[e.id] === true;
  const set = (path: string[], value: Part | undefined) => void edit(put(entities, [rail, ...path], value));
  const move = (pos: number | undefined) => set(['elements', e.id, 'pos'], pos);
  // An element goes, and with it what is said of its folding.
  const remove = () => {
    const folding = put(entities, [rail, 'never', e.id], undefined);
    void edit([...folding, ...put(entities, [rail, 'elements', e.id], undefined)]);
  };
  const name = 'words' in e && e.words ? `“${e.words}”` : 'the picture';
  return (
    <Flex gap="10px" align="center" py="4px" borderTopWidth="1px" borderColor="rule">
      <Box w="56px" color="muted">
        {e.kind === 'image' ? 'picture' : e.kind}
      </Box>
      {e.kind === 'image' ? (
        <Select
          aria-label="Picture"
          value={e.picture}
          onChange={(c) => set(['elements', e.id, 'picture'], c.target.value)}
        >
          {picturesOf(entities).map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </Select>
      ) : (
        <WordsField path={[rail, 'elements', e.id]} name="words" label="Words" bare />
      )}
      <Box flex="1" />
      {!body.drawer && e.kind === 'button' && (
        <Tick
          words="never goes under “More”"
          on={never}
          onTick={() => set(['never', e.id], never ? undefined : true)}
        />
      )}
      <Action
        tone="quiet"
        minH="24px"
        aria-label={`Move ${name} earlier`}
        disabled={sooner === undefined}
        onClick={() => move(sooner)}
      >
        ↑
      </Action>
      <Action
        tone="quiet"
        minH="24px"
        aria-label={`Move ${name} later`}
        disabled={later === undefined}
        onClick={() => move(later)}
      >
        ↓
      </Action>
      <Action tone="quiet" minH="24px" disabled={!onWay} onClick={onWay}>
        its way
      </Action>
      <Action tone="quiet" minH="24px" aria-label={`Remove ${name}`} onClick={remove}>
        remove
      </Action>
    </Flex>
  );
}

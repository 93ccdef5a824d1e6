import { Flex } from '@chakra-ui/react';
import { Action, Select } from '../../ui/controls';
import { useBuild } from '../context';
import { number, text } from '../document';
import { at, put } from '../edit';
import { Labelled } from './Labelled';
import { Typed } from './Typed';

/** What sets off a way of the screen itself: which swipe, which keys, after which time. */
export function WayLook({ path }: { path: string[] }) {
  const { entities, edit, choose } = useBuild();
  const body = at(entities, path);
  const trigger = text(body, 'trigger');
  return (
    <Flex gap="14px" align="flex-end" fontSize="note">
      {trigger === 'swipe' && (
        <Labelled label="Swiped to the">
          <Select
            aria-label="Direction"
            value={text(body, 'side')}
            onChange={(e) => void edit(put(entities, [...path, 'side'], e.target.value))}
          >
            {['left', 'right', 'up', 'down'].map((s) => (
              <option key={s}>{s}</option>
            ))}
          </Select>
        </Labelled>
      )}
      {trigger === 'time' && (
        <Labelled label="After, in seconds">
          <Typed
            label="Seconds"
            value={String(number(body, 'after'))}
            onSave={(v) => Number(v) >= 1 && void edit(put(entities, [...path, 'after'], Number(v)))}
          />
        </Labelled>
      )}
      {trigger === 'keys' && (
        <Labelled label="Keys">
          <Typed
            label="Keys"
            value={text(body, 'keys')}
            onSave={(v) => v && void edit(put(entities, [...path, 'keys'], v))}
          />
        </Labelled>
      )}
      <Action
        tone="bad"
        onClick={() => {
          choose(undefined);
          void edit(put(entities, path, undefined));
        }}
      >
        Remove
      </Action>
    </Flex>
  );
}

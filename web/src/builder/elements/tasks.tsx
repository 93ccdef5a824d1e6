import { Flex } from '@chakra-ui/react';
import { put } from '../../document/edit';
import { inOrder } from '../../document/parts';
import { Action } from '../../ui/controls';
import { Labelled } from '../../ui/Labelled';
import { Typed } from '../../ui/Typed';
import { useBuild } from '../context';
import type { BuiltElement, LookProps } from './element';
import { ConditionPart } from './parts/ConditionPart';
import { TypedPart } from './parts/TypedPart';

export const tasks: BuiltElement<'tasks'> = {
  words: (e) => e.words ?? '',
  starts: [{ trigger: 'task', at: 'items', words: 'a further task', many: 'New task' }],
  tall: true,
  Look: TasksLook,
};

/** The tasks by their words, and when each is done. Where each leads is wired as its way. */
function TasksLook({ path, element }: LookProps<'tasks'>) {
  const { entities, edit } = useBuild();
  const items = inOrder(element.items);
  return (
    <>
      <TypedPart path={path} name="words" label="Above them" value={element.words} width="200px" />
      <Labelled label="Tasks" wide>
        {items.map((t, i) => (
          <Flex key={t.id} gap="8px" align="flex-end" mb="4px">
            <Typed
              label={`Task ${i + 1}`}
              width="200px"
              value={t.words}
              onSave={(v) => v && void edit(put(entities, [...path, 'items', t.id, 'words'], v))}
            />
            <ConditionPart path={[...path, 'items', t.id]} name="done" label="Done while" without="never" />
            {items.length > 1 && (
              <Action
                tone="quiet"
                px="6px"
                aria-label={`Remove the task ${t.words}`}
                onClick={() => void edit(put(entities, [...path, 'items', t.id], undefined))}
              >
                ✕
              </Action>
            )}
          </Flex>
        ))}
      </Labelled>
    </>
  );
}

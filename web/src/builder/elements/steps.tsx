import { Flex } from '@chakra-ui/react';
import { newId, put } from '../../document/edit';
import { inOrder, posBehind } from '../../document/parts';
import { Action } from '../../ui/controls';
import { Labelled } from '../../ui/Labelled';
import { Typed } from '../../ui/Typed';
import { useBuild } from '../context';
import type { BuiltElement, LookProps } from './element';
import { ConditionPart } from './parts/ConditionPart';
import { TypedPart } from './parts/TypedPart';
import { usePlacedIn } from './usePlacedIn';

export const steps: BuiltElement<'steps'> = {
  words: (e) => e.label ?? '',
  spots: (e) =>
    inOrder(e.steps).map((s) => ({ id: `${e.id}.${s.id}`, words: `the step “${s.label}”`, group: 'Steps' })),
  Look: StepsLook,
};

/** The steps by their words, in order, and while what each is part of the task. */
function StepsLook({ path, element }: LookProps<'steps'>) {
  const { entities, edit } = useBuild();
  const { freed, swapped } = usePlacedIn(path);
  const steps = inOrder(element.steps);
  return (
    <>
      <TypedPart path={path} name="label" label="What is done" value={element.label} width="200px" />
      <Labelled label="Steps" wide>
        {steps.map((s, i) => (
          <Flex key={s.id} gap="8px" align="flex-end" mb="4px">
            <Typed
              label={`Step ${i + 1}`}
              width="180px"
              value={s.label}
              onSave={(v) => v && void edit(put(entities, [...path, 'steps', s.id, 'label'], v))}
            />
            <ConditionPart path={[...path, 'while']} name={s.id} label="Part of it" without="always" />
            {i > 0 && (
              <Action
                tone="quiet"
                px="6px"
                aria-label={`${s.label} further to the front`}
                onClick={() => void edit(swapped('steps', steps[i - 1], s))}
              >
                ▲
              </Action>
            )}
            {steps.length > 1 && (
              <Action
                tone="quiet"
                px="6px"
                aria-label={`Remove the step ${s.label}`}
                onClick={() =>
                  void edit([
                    ...freed(s.id),
                    ...put(entities, [...path, 'while', s.id], undefined),
                    ...put(entities, [...path, 'steps', s.id], undefined),
                  ])
                }
              >
                ✕
              </Action>
            )}
          </Flex>
        ))}
        <Action
          onClick={() =>
            void edit(
              put(entities, [...path, 'steps', newId('t')], {
                pos: posBehind(steps),
                label: `Step ${steps.length + 1}`,
              }),
            )
          }
        >
          + a step
        </Action>
      </Labelled>
    </>
  );
}

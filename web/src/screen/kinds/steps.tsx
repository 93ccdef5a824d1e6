import { Box, Flex } from '@chakra-ui/react';
import { useEffect } from 'react';
import { useSteady } from '../../ui/useSteady';
import { useScreen, useTyped } from '../context';
import type { ElementKind, OfKind } from './kind';

/** A guided task: which step one is at, which are done, and the way back to them. */
export const steps: ElementKind<'steps'> = { Draw: Steps };

function Steps({ element }: { element: OfKind<'steps'> }) {
  const { steps: task } = element;
  const { view, onArrange, builder } = useScreen();
  const { errors } = useTyped();
  const open = useSteady((step: string) => {
    if (step === task.open) return;
    onArrange({
      filters: view.place.filters ?? [],
      sort: view.place.sort ?? [],
      find: view.find,
      tabs: { ...view.place.tabs, [element.id]: step },
    });
  });
  // What is wrong is shown where it is: at the first step that has some of it.
  const wrong = task.steps.find((s) => s.fields.some((f) => errors[f]))?.id;
  const here = task.steps.find((s) => s.id === task.open)?.fields.some((f) => errors[f]);
  useEffect(() => {
    if (wrong && !here) open(wrong);
  }, [wrong, here, open]);
  return (
    <Box as="nav" aria-label={task.label || 'Steps'}>
      <Box fontSize="note" color="muted" mb="4px" role="status">
        {task.label ? `${task.label}: step` : 'Step'} {task.at} of {task.steps.filter((s) => !s.apart).length}
      </Box>
      <Flex as="ol" wrap="wrap" gap="6px" css={{ listStyle: 'none' }}>
        {task.steps.map((s, i) => {
          const at = s.id === task.open;
          const shut = s.shut && !at && !builder; // builders look into each
          return (
            <li key={s.id}>
              <Flex
                as="button"
                align="center"
                gap="8px"
                minH="44px"
                px="12px"
                borderWidth="1.5px"
                borderStyle={shut || s.apart ? 'dashed' : 'solid'}
                borderColor={at ? 'ink' : 'rule'}
                borderRadius="4px"
                bg={at ? 'rail' : 'plate'}
                color={at ? 'white' : shut || s.apart ? 'muted' : 'ink'}
                cursor={at || shut ? 'default' : 'pointer'}
                fontWeight="700"
                aria-current={at ? 'step' : undefined}
                aria-disabled={shut || undefined}
                onClick={() => !shut && open(s.id)}
              >
                <Box as="span" aria-hidden color={at ? 'amber' : s.done ? 'pine' : undefined}>
                  {s.apart ? '–' : s.done && !at ? '✓' : i + 1}
                </Box>
                {s.label}
                <Box as="span" srOnly>
                  {s.apart ? ', no part of it now' : s.done && !at ? ', done' : shut ? ', after what is before it' : ''}
                </Box>
              </Flex>
            </li>
          );
        })}
      </Flex>
    </Box>
  );
}

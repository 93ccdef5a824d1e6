import { Box, Flex } from '@chakra-ui/react';
import type { ReachStep } from '../../api/client';
import { useWhole } from './context';

interface StepsProps {
  start?: string; // what the path begins at
  steps: ReachStep[];
  label: string;
}

/** A path, step by step: where each leads, by what, while what; each opens its place. */
export function PathSteps({ start, steps, label }: StepsProps) {
  const { openScreen } = useWhole();
  let at = 0;
  return (
    <Box as="ol" aria-label={label} listStyleType="none">
      {start && (
        <Flex as="li" gap="10px" py="4px" align="baseline">
          <Count n={0} />
          <Box>
            <b>{start}</b>{' '}
            <Box as="span" fontSize="note" color="muted">
              the start
            </Box>
          </Box>
        </Flex>
      )}
      {steps.map((s, i) => {
        at += s.presses;
        return (
          <Flex as="li" key={`${s.screen}.${s.element ?? i}`} gap="10px" py="4px" align="baseline">
            <Count n={at} />
            <Box minW={0} flex="1">
              <Box
                as="button"
                textAlign="left"
                fontWeight="700"
                cursor="pointer"
                _hover={{ textDecoration: 'underline' }}
                onClick={() => (s.on ? openScreen(s.on, s.element) : openScreen(s.screen))}
                title={s.on ? 'Open where this way begins' : 'Open the screen'}
              >
                {s.title}
              </Box>{' '}
              <Box as="span" fontSize="note" color="muted">
                {s.by}
                {s.over && ', as a dialog'}
              </Box>
              {s.while && (
                <Box fontSize="note" color="plum" fontWeight="600">
                  while {s.while}
                </Box>
              )}
              {s.given?.map((g) => (
                <Box key={g} fontSize="note" color="muted">
                  given {g}
                </Box>
              ))}
              {s.unsure?.map((u) => (
                <Box key={u} fontSize="note" color="amberText">
                  not proven: {u}
                </Box>
              ))}
            </Box>
          </Flex>
        );
      })}
    </Box>
  );
}

function Count({ n }: { n: number }) {
  return (
    <Box
      bg="amberSoft"
      color="amberText"
      fontSize="12px"
      fontWeight="700"
      w="22px"
      textAlign="center"
      borderRadius="3px"
      flexShrink={0}
      title={`${n} ${n === 1 ? 'press' : 'presses'} from the start`}
    >
      {n}
    </Box>
  );
}

import { Box } from '@chakra-ui/react';
import type { ConditionRead } from '../../api/client';

/** The text again, unseen, with what is wrong underlined: it lies behind the field. */
export function Underlined({ chars, problem }: { chars: string[]; problem: ConditionRead['problem'] }) {
  return (
    <Box
      aria-hidden
      position="absolute"
      inset="0"
      p="8px 10px"
      whiteSpace="pre-wrap"
      overflowWrap="break-word"
      color="transparent"
      pointerEvents="none"
      borderWidth="1px"
      borderColor="transparent"
    >
      {problem && chars.length > 0 ? (
        <>
          {chars.slice(0, problem.at).join('')}
          <Box as="span" textDecoration="underline wavy" textDecorationColor="brick" textUnderlineOffset="3px">
            {chars.slice(problem.at, problem.at + problem.length).join('') || ' '}
          </Box>
        </>
      ) : (
        chars.join('')
      )}
    </Box>
  );
}

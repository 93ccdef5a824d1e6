import { Box } from '@chakra-ui/react';
import type { ConditionRead } from '../api/client';
import { Action } from '../ui/controls';

interface TextProps {
  text: string;
  problem: ConditionRead['problem'];
  onText: (t: string) => void;
}

/** A condition as text, with what is wrong underlined and, where there is one, a proposal. */
export function ConditionText({ text, problem, onText }: TextProps) {
  const chars = Array.from(text);
  const mend = () =>
    problem?.proposal &&
    onText([...chars.slice(0, problem.at), problem.proposal, ...chars.slice(problem.at + problem.length)].join(''));
  return (
    <Box>
      <Box position="relative" fontFamily="mono" fontSize="14px" lineHeight="1.5">
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
          {problem ? (
            <>
              {chars.slice(0, problem.at).join('')}
              <Box as="span" textDecoration="underline wavy" textDecorationColor="brick" textUnderlineOffset="3px">
                {chars.slice(problem.at, problem.at + problem.length).join('') || ' '}
              </Box>
            </>
          ) : (
            text
          )}
        </Box>
        <Box
          asChild
          w="full"
          p="8px 10px"
          bg="paper"
          borderWidth="1px"
          borderColor={problem ? 'brick' : 'rule'}
          borderRadius="4px"
          fontFamily="mono"
          fontSize="14px"
          lineHeight="1.5"
          resize="vertical"
        >
          <textarea
            aria-label="Condition as text"
            aria-invalid={!!problem || undefined}
            rows={3}
            spellCheck={false}
            value={text}
            onChange={(e) => onText(e.target.value)}
          />
        </Box>
      </Box>
      {problem && text && (
        <Box color="brick" fontSize="note" fontWeight="600" mt="4px" role="alert">
          {problem.message}{' '}
          {problem.proposal && (
            <Action tone="bad" minH="26px" onClick={mend}>
              {problem.proposal}
            </Action>
          )}
        </Box>
      )}
    </Box>
  );
}

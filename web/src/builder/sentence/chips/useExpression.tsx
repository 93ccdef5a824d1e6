import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import type { Binding } from '../../../document/document.gen';
import { readCondition } from '../../condition/spot';
import { useBuild } from '../../context';
import type { Choice } from '../../Picker';
import { spotOf, type WayRef } from '../wiring';

const lead = 'work it out: ';

/** Lets a picker of bindings take an expression that is typed: it is read by the server before it is put. */
export function useExpression(wayRef: WayRef, onBinding: (b: Binding) => void) {
  const { as } = useBuild();
  const [problem, setProblem] = useState<string>();
  const read = async (words: string) => {
    const answer = await readCondition(spotOf(wayRef, as), { text: words, value: true });
    if (answer.problem) return setProblem(answer.problem.message);
    onBinding({ rule: 'expression', value: answer.stored });
  };
  return {
    choice: (words: string, note = 'an expression'): Choice => ({ id: 'typed', words: lead + words, note }),
    /** Whether a choice is such an expression, which is taken then. */
    takes: (c: Choice) => {
      if (c.id !== 'typed') return false;
      void read(c.words.slice(lead.length));
      return true;
    },
    foot: problem && (
      <Box color="brick" fontSize="note" p="8px 12px" role="alert">
        {problem}
      </Box>
    ),
  };
}

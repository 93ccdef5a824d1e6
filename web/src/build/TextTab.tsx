import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import type { ConditionRead, WayOut } from '../api/client';
import { Action } from '../ui/controls';
import { ConditionText } from './ConditionText';
import { readCondition } from './condition';
import { useBuild } from './context';
import { text } from './document';
import { gate, putGate } from './wiring';

/** The way's condition as text. */
export function TextTab({ way }: { way: WayOut }) {
  const { project, entities, screen, edit } = useBuild();
  const ref = { project, entities, screen, element: way.element, trigger: way.trigger };
  const stored = text(gate(ref, 'while'));
  const [draft, setDraft] = useState('');
  const [read, setRead] = useState<ConditionRead>();
  const { element } = way;
  useEffect(() => {
    setDraft('');
    setRead(undefined);
    if (stored) void readCondition(project, screen, element, { text: stored }).then((r) => setDraft(r.shown));
  }, [stored, project, screen, element]);
  const change = (t: string) => {
    setDraft(t);
    if (t.trim()) void readCondition(project, screen, element, { text: t }).then(setRead);
    else setRead(undefined);
  };
  const save = () => void edit(putGate(ref, ['while'], draft.trim() ? read?.stored : undefined));
  return (
    <Flex gap="14px">
      <Box flex="1" maxW="760px">
        <ConditionText text={draft} problem={draft.trim() ? read?.problem : undefined} onText={change} />
      </Box>
      <Box fontSize="note" color="muted" w="300px">
        {read && !read.problem
          ? `means: ${read.phrase}`
          : 'Names as in record.state, user.is("Technician"), today(). Empty: no condition.'}
        <Box mt="8px">
          <Action tone="main" onClick={save} disabled={draft.trim() !== '' && (!read || !!read.problem)}>
            Set condition
          </Action>
        </Box>
      </Box>
    </Flex>
  );
}

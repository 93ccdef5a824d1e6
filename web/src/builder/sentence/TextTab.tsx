import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useMemo, useState } from 'react';
import type { ConditionRead, WayOut } from '../../api/client';
import { Action } from '../../ui/controls';
import { ConditionText } from '../condition/ConditionText';
import { readCondition } from '../condition/spot';
import { useBuild } from '../context';
import { gateOf, putGate, refOf, spotOf } from './wiring';

/** The way's condition as text. */
export function TextTab({ way }: { way: WayOut }) {
  const build = useBuild();
  const { project, as, edit } = build;
  const ref = refOf(build, way);
  const stored = gateOf(ref)?.while ?? '';
  const [draft, setDraft] = useState('');
  const [read, setRead] = useState<ConditionRead>();
  const { screen, element } = spotOf(ref, as);
  const spot = useMemo(() => ({ project, as, screen, element }), [project, as, screen, element]);
  useEffect(() => {
    setDraft('');
    setRead(undefined);
    if (stored) void readCondition(spot, { text: stored }).then((r) => setDraft(r.shown));
  }, [stored, spot]);
  const change = (t: string) => {
    setDraft(t);
    if (t.trim()) void readCondition(spot, { text: t }).then(setRead);
    else setRead(undefined);
  };
  const save = () => void edit(putGate(ref, ['while'], draft.trim() ? read?.stored : undefined));
  return (
    <Flex gap="14px">
      <Box flex="1" maxW="760px">
        <ConditionText spot={spot} text={draft} problem={draft.trim() ? read?.problem : undefined} onText={change} />
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

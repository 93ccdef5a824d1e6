import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../../api/client';
import type { WalkStep } from '../../../document/document.gen';
import { inOrder } from '../../../document/parts';
import { Select } from '../../../ui/controls';
import { useWhole } from '../context';
import { moment } from '../releases/releases';

interface BuildProps {
  step: WalkStep;
  onChange: (more: Partial<WalkStep>) => void;
}

/** What is changed of the application on the way: as one of the last edits changed it. */
export function BuildFields({ step, onChange }: BuildProps) {
  const { project, draft } = useWhole();
  const made = useQuery({
    queryKey: ['history', project, draft.seq, 'to be walked'],
    queryFn: () => ask(api.GET('/api/build/{project}/history', { params: { path: { project } } })),
  });
  const changes = inOrder(step.changes);
  return (
    <Flex direction="column" gap="6px">
      {changes.map((c) => (
        <Box key={c.id} fontSize="note" fontFamily="mono" overflowWrap="anywhere">
          {c.op} {c.path} {c.value === undefined ? '' : JSON.stringify(c.value).slice(0, 120)}
        </Box>
      ))}
      <Select
        aria-label="As which edit"
        fontSize="note"
        value=""
        onChange={(e) => {
          const edit = made.data?.edits.find((one) => String(one.seq) === e.target.value);
          // What was tested before it was changed is what it was then, not on the walk.
          const ops = edit?.patch.filter((op) => op.op !== 'test') ?? [];
          onChange({
            changes: Object.fromEntries(
              ops.map((op, i) => [
                `c_${i + 1}`,
                { pos: i + 1, op: op.op as 'add', path: op.path, ...(op.value !== undefined && { value: op.value }) },
              ]),
            ),
          });
        }}
      >
        <option value="">
          {made.data ? (changes.length > 0 ? 'as another edit …' : 'as which edit …') : 'reading the history …'}
        </option>
        {made.data?.edits
          .filter((e) => e.patch.length > 0)
          .map((e) => (
            <option key={e.seq} value={e.seq}>
              {moment(e.at)}, {e.by}: {(e.changes[0]?.sentence ?? 'nothing in the end').slice(0, 90)}
              {e.changes.length > 1 ? ` and ${e.changes.length - 1 + e.more} more` : ''}
            </option>
          ))}
      </Select>
      <Box fontSize="note" color="muted">
        Make the edit in the Screen view, choose it here, and take it back there: on the walk it is made each time, and
        kept nowhere.
      </Box>
    </Flex>
  );
}

import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Proposal } from '../../api/client';
import { readCondition } from '../condition/spot';
import { useBuild } from '../context';
import { text } from '../document';
import { at, type Json, put } from '../edit';
import { Picker } from '../Picker';
import type { ChipProps } from './ChipPicker';
import { bindPath, NonePicker } from './NonePicker';
import { caseId, gate, proposals, putGate, spotOf, type WayRef } from './wiring';

/** What an input gets, whether of the target or of the shared gate: proposed from relations, best
 * first; anything else can be typed as an expression. */
export function BindPicker(p: ChipProps & { wayRef: WayRef }) {
  const { chunk, wayRef, onClose } = p;
  const { edit, entities, as } = useBuild();
  const [ends, setEnds] = useState(false);
  const [problem, setProblem] = useState<string>();
  const give = chunk.part === 'give';
  const id = chunk.case || caseId(wayRef);
  const move = ['cases', id, 'move'];
  const target = give
    ? (wayRef.shared ?? '')
    : text(gate(wayRef, ...move, ...(chunk.among ? ['among', chunk.among] : []), 'target'));
  const input = chunk.item ?? '';
  const path = bindPath(chunk, wayRef);
  const now = give ? at(entities, [...wayRef.at, 'give', input]) : gate(wayRef, ...path);
  const found = useQuery({
    queryKey: ['proposals', wayRef.project, wayRef.screen, wayRef.element, wayRef.trigger, target, input, give],
    queryFn: () => proposals(wayRef, target, input, give),
    staleTime: 0,
  });
  const list = found.data ?? [];
  const putBinding = (binding: Json | undefined) => {
    onClose();
    if (give) return void edit(put(entities, [...wayRef.at, 'give', input], binding));
    const body = gate(wayRef, ...move) as Record<string, Json>;
    const ops = putGate(wayRef, path, binding);
    void edit(body.mode === 'add' && binding ? [...putGate(wayRef, [...move, 'mode'], undefined), ...ops] : ops);
  };
  const choose = (proposal: Proposal) => {
    if (!proposal.mode) return putBinding(proposal.binding as Json);
    onClose();
    const body = { ...(gate(wayRef, ...move) as Record<string, Json>), mode: proposal.mode };
    delete (body as Record<string, Json>).bind;
    void edit(putGate(wayRef, move, body));
  };
  const typed = async (words: string) => {
    const read = await readCondition(spotOf(give ? { ...wayRef, shared: undefined } : wayRef, as), {
      text: words,
      value: true,
    });
    if (read.problem) return setProblem(read.problem.message);
    putBinding({ rule: 'expression', value: read.stored });
  };
  if (ends) return <NonePicker {...p} />;
  return (
    <Picker
      label="On which record"
      up
      choices={[
        ...list.map((x, i) => ({ id: String(i), words: x.words, note: x.note })),
        ...(now === undefined || give ? [] : [{ id: 'ends', words: 'if there is none …', note: 'what happens then' }]),
        ...(now === undefined ? [] : [{ id: 'none', words: 'bring nothing', note: 'leave this input open' }]),
      ]}
      make={(words) => ({ id: 'typed', words: `work it out: ${words}`, note: 'an expression, or a value in quotes' })}
      onClose={onClose}
      onChoose={(c) => {
        if (c.id === 'ends') return setEnds(true);
        if (c.id === 'typed') return void typed(c.words.slice('work it out: '.length));
        const proposal = list[Number(c.id)];
        if (c.id === 'none') putBinding(undefined);
        else if (proposal) choose(proposal);
      }}
      empty={found.isPending ? 'looking …' : 'Nothing here leads to such a record.'}
      foot={
        problem && (
          <Box color="brick" fontSize="note" p="8px 12px" role="alert">
            {problem}
          </Box>
        )
      }
    />
  );
}

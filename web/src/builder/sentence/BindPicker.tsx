import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Proposal } from '../../api/client';
import { readCondition } from '../condition/spot';
import { useBuild } from '../context';
import { recordTable, screensOf, text } from '../document';
import { at, type Entities, type Json, put } from '../edit';
import { Picker } from '../Picker';
import { useRecords } from '../useRecords';
import type { ChipProps } from './ChipPicker';
import { looksWorkedOut } from './effects/actions';
import { FieldsForm } from './effects/FieldsForm';
import { bindPath, NonePicker } from './NonePicker';
import { caseId, gate, proposals, putGate, spotOf, type WayRef } from './wiring';

// How many records are offered as they are, and how many once one looks for some.
const recordsOffered = 4;
const recordsFound = 20;

/** What an input gets, whether of the target or of the shared gate: proposed from relations, best
 * first; or always the same, found by typing; anything else can be typed as an expression. */
export function BindPicker(p: ChipProps & { wayRef: WayRef }) {
  const { chunk, wayRef, onClose } = p;
  const { edit, entities, as } = useBuild();
  const [ends, setEnds] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [find, setFind] = useState('');
  const [fills, setFills] = useState(false);
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
  const takes = inputOf(entities, target, input);
  const records = useRecords({ project: wayRef.project, as, table: takes.table, find, enabled: takes.table !== '' });
  const always = (records.data ?? []).slice(0, find ? recordsFound : recordsOffered);
  const putBinding = (binding: Json | undefined) => {
    onClose();
    if (give) return void edit(put(entities, [...wayRef.at, 'give', input], binding));
    const body = gate(wayRef, ...move) as Record<string, Json>;
    const ops = putGate(wayRef, path, binding);
    void edit(body.mode === 'add' && binding ? [...putGate(wayRef, [...move, 'mode'], undefined), ...ops] : ops);
  };
  const choose = (proposal: Proposal) => {
    if (!proposal.mode) return putBinding(proposal.binding as unknown as Json);
    onClose();
    const body = { ...(gate(wayRef, ...move) as Record<string, Json>), mode: proposal.mode };
    delete (body as Record<string, Json>).bind;
    void edit(putGate(wayRef, move, body));
  };
  const fill = (fields: Record<string, Json> | undefined) => {
    onClose();
    void edit(putGate(wayRef, [...move, 'set'], fields));
  };
  const typed = async (words: string) => {
    const read = await readCondition(spotOf(give ? { ...wayRef, shared: undefined } : wayRef, as), {
      text: words,
      value: true,
    });
    if (read.problem) return setProblem(read.problem.message);
    putBinding({ rule: 'expression', value: read.stored });
  };
  const adds = !give && text(gate(wayRef, ...move), 'mode') === 'add';
  if (ends) return <NonePicker {...p} />;
  if (fills)
    return (
      <FieldsForm
        wayRef={wayRef}
        label="Filled in"
        lead="with"
        table={recordTable(screensOf(entities).find((s) => s.id === target))}
        kept={(gate(wayRef, ...move, 'set') as Record<string, Json> | undefined) ?? {}}
        standing={{ remove: () => fill(undefined) }}
        onClose={onClose}
        onDone={fill}
      />
    );
  return (
    <Picker
      label="On which record"
      up
      onType={setFind}
      choices={[
        ...(adds ? [{ id: 'fill', words: 'fill in …', note: 'what the new one begins with' }] : []),
        ...list.map((x, i) => ({ id: String(i), words: x.words, note: x.note })),
        ...always.map((r) => ({ id: `=${r.key}`, words: r.title, note: 'always this one' })),
        ...(now === undefined || give ? [] : [{ id: 'ends', words: 'if there is none …', note: 'what happens then' }]),
        ...(now === undefined ? [] : [{ id: 'none', words: 'bring nothing', note: 'leave this input open' }]),
      ]}
      make={(words) =>
        isConstant(words, takes.type)
          ? { id: `=${words}`, words, note: 'always' }
          : takes.table && !/[.("]/.test(words)
            ? undefined // part of a title
            : { id: 'typed', words: `work it out: ${words}`, note: 'an expression' }
      }
      onClose={onClose}
      onChoose={(c) => {
        if (c.id === 'fill') return setFills(true);
        if (c.id === 'ends') return setEnds(true);
        if (c.id === 'typed') return void typed(c.words.slice('work it out: '.length));
        if (c.id.startsWith('=')) return putBinding({ rule: 'value', value: c.id.slice(1) });
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

/** What an input of a screen or of a shared gate takes. */
function inputOf(entities: Entities, target: string, input: string) {
  const doc = at(entities, [target, 'inputs', input]);
  return { type: text(doc, 'type'), table: text(doc, 'table') };
}

/** Whether what is typed is a value of the type, rather than an expression. */
function isConstant(words: string, type: string) {
  if (type === 'text') return !looksWorkedOut(words);
  if (type === 'date') return /^\d{4}-\d\d-\d\d$/.test(words);
  if (type === 'whole') return /^-?\d+$/.test(words);
  return /^(number|decimal)$/.test(type) && /^-?\d+(\.\d+)?$/.test(words);
}

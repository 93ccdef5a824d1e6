import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Op, Proposal } from '../../api/client';
import { Line, Select } from '../../ui/controls';
import { readCondition } from '../condition/spot';
import { useBuild } from '../context';
import { tablesOf } from '../document';
import type { Json } from '../edit';
import { RecordChip } from '../RecordChip';
import { newVariable, type VariableDoc, variablesOf, variableTypes } from '../variables';
import { looksWorkedOut } from './actions';
import { EffectFrame } from './EffectFrame';
import { proposals, spotOf, type WayRef } from './wiring';

interface VariableFormProps {
  wayRef: WayRef;
  onClose: () => void;
  onAdd: (effect: Record<string, Json>, also?: Op[]) => void;
}

/** Which variable is set, and to what; one that is missing is made here. */
export function VariableForm({ wayRef, onClose, onAdd }: VariableFormProps) {
  const { entities, screen, as } = useBuild();
  const all = variablesOf(entities).filter((v) => !v.screen || (v.screen === screen && !wayRef.shared));
  const [id, setId] = useState(all[0]?.id ?? '+');
  const [fresh, setFresh] = useState({ label: '', type: 'text', table: tablesOf(entities)[0]?.id ?? '', screen: '' });
  const [to, setTo] = useState('');
  const [value, setValue] = useState('');
  const [record, setRecord] = useState<{ key: string; title: string }>();
  const [problem, setProblem] = useState<string>();
  const kept = all.find((v) => v.id === id);
  const variable = kept ?? { ...blank, ...fresh };
  const found = useQuery({
    queryKey: ['proposals', wayRef.project, wayRef.screen, wayRef.element, wayRef.trigger, kept?.id ?? fresh.table],
    queryFn: () => proposals(wayRef, kept?.id ?? fresh.table, ''),
    enabled: variable.type === 'record',
  });
  const ways = choicesFor(variable, found.data ?? []);
  const others = ['typed', 'start', ...(variable.type === 'record' ? ['key'] : [])];
  const how = others.includes(to) || ways.some((w) => w.id === to) ? to : (ways[0]?.id ?? 'typed');
  const turnTo = (next: string) => {
    setId(next);
    setRecord(undefined); // it may be of another table
  };
  const save = async () => {
    if (!kept && !fresh.label.trim()) return setProblem('Give it a name.');
    const made = kept ? undefined : newVariable(entities, { ...fresh, label: fresh.label.trim() });
    const effect = { kind: 'setVar', variable: kept?.id ?? made?.id ?? '' };
    if (how === 'start') return onAdd(effect, made?.ops);
    if (how === 'turn') return onAdd({ ...effect, value: `!vars.${effect.variable}` }, made?.ops);
    if (how === 'key' && !record) return setProblem('Choose which record.');
    const words = { key: `key(${JSON.stringify(record?.key)})`, typed: asExpression(variable.type, value) }[how] ?? how;
    const read = await readCondition(spotOf(wayRef, as), { text: words, value: true });
    if (read.problem) return setProblem(read.problem.message);
    onAdd({ ...effect, value: read.stored }, made?.ops);
  };
  return (
    <EffectFrame label="Set a variable" width="480px" problem={problem} onSave={() => void save()} onClose={onClose}>
      set
      <Select aria-label="Variable" autoFocus value={id} onChange={(e) => turnTo(e.target.value)}>
        {all.map((v) => (
          <option key={v.id} value={v.id}>
            {v.label.toLowerCase()}
            {v.screen ? ' (this screen)' : ''}
          </option>
        ))}
        <option value="+">a new variable …</option>
      </Select>
      {!kept && <Fresh fresh={fresh} onFresh={setFresh} shared={wayRef.shared !== undefined} />}
      to
      <Select aria-label="To what" value={how} onChange={(e) => setTo(e.target.value)}>
        {ways.map((w) => (
          <option key={w.id} value={w.id}>
            {w.words}
          </option>
        ))}
        {variable.type === 'record' && <option value="key">always one that I choose</option>}
        <option value="typed">{variable.type === 'text' ? 'the text' : 'the value'}</option>
        <option value="start">{variable.start ? `what it begins with: ${variable.start}` : 'nothing'}</option>
      </Select>
      {how === 'key' && (
        <RecordChip
          project={wayRef.project}
          as={as}
          table={variable.table}
          one=""
          record={record}
          label="Which record"
          onRecord={(key, title) => setRecord({ key, title })}
        />
      )}
      {how === 'typed' && (
        <Box w="170px">
          <Line
            aria-label="Value"
            value={value}
            placeholder={{ text: 'text, or record.name', date: 'today()', record: 'record.lift' }[variable.type] ?? '3'}
            onChange={(e) => setValue(e.target.value)}
          />
        </Box>
      )}
    </EffectFrame>
  );
}

const blank: VariableDoc = {
  id: '',
  pos: 0,
  label: '',
  alias: '',
  type: 'text',
  table: '',
  choices: [],
  screen: '',
  start: '',
};

/** What can be chosen without an expression; the id is the expression. */
function choicesFor(v: VariableDoc, proposed: Proposal[]): { id: string; words: string }[] {
  if (v.type === 'yesno')
    return [
      { id: 'true', words: 'yes' },
      { id: 'false', words: 'no' },
      { id: 'turn', words: 'the other of the two' },
    ];
  if (v.choices.length > 0) return v.choices.map((c) => ({ id: JSON.stringify(c), words: c }));
  if (v.type === 'date') return [{ id: 'today()', words: 'today' }];
  return proposed.flatMap((p) => {
    const id = expressionOf(p.binding as Record<string, string> | undefined);
    return id && id !== `vars.${v.id}` ? [{ id, words: p.words }] : [];
  });
}

/** What is typed, as an expression: a text is one in quotes, unless it looks worked out. */
function asExpression(type: string, typed: string) {
  return type === 'text' && !looksWorkedOut(typed) ? JSON.stringify(typed) : typed;
}

/** The expression that says the same as a record rule, where there is one. */
function expressionOf(b: Record<string, string> | undefined): string | undefined {
  if (!b) return undefined;
  const from = !b.from || b.from === 'record' ? 'record' : b.from === 'row' ? 'row' : `inputs.${b.from}`;
  return {
    this: 'record',
    row: 'row',
    user: 'user.record',
    input: `inputs.${b.value}`,
    expression: b.value,
    parent: `${from}.${b.path}`,
  }[b.rule ?? ''];
}

interface FreshProps {
  fresh: { label: string; type: string; table: string; screen: string };
  onFresh: (f: FreshProps['fresh']) => void;
  shared: boolean;
}

/** What a new variable is called and holds, and how long it stays. */
function Fresh({ fresh, onFresh, shared }: FreshProps) {
  const { entities, screen } = useBuild();
  const put = (change: Partial<FreshProps['fresh']>) => onFresh({ ...fresh, ...change });
  return (
    <Flex gap="6px" wrap="wrap" align="center" w="full">
      called
      <Box w="150px">
        <Line aria-label="Its name" value={fresh.label} onChange={(e) => put({ label: e.target.value })} />
      </Box>
      for
      <Select aria-label="What it holds" value={fresh.type} onChange={(e) => put({ type: e.target.value })}>
        {variableTypes.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
      {fresh.type === 'record' && (
        <Select aria-label="Table" value={fresh.table} onChange={(e) => put({ table: e.target.value })}>
          {tablesOf(entities).map((t) => (
            <option key={t.id} value={t.id}>
              {t.label.toLowerCase()}
            </option>
          ))}
        </Select>
      )}
      {!shared && (
        <Select aria-label="How long" value={fresh.screen} onChange={(e) => put({ screen: e.target.value })}>
          <option value="">kept by the tab, on every screen</option>
          <option value={screen}>kept on this screen only</option>
        </Select>
      )}
    </Flex>
  );
}

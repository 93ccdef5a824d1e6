import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Op } from '../../api/client';
import { Action, Line, Select } from '../../ui/controls';
import { readCondition } from '../condition/spot';
import { useBuild } from '../context';
import { recordTable, screensOf, tablesOf } from '../document';
import { type Json, newId } from '../edit';
import { Picker } from '../Picker';
import { Pop } from '../Pop';
import { actionsOf, looksWorkedOut, mainListOf } from './actions';
import type { ChipProps } from './ChipPicker';
import { EffectFrame } from './EffectFrame';
import { VariableForm } from './VariableForm';
import { caseId, gate, putGate, spotOf, type WayRef } from './wiring';

/** What is done before one is moved, found by any word of it. An action that is there can be taken away. */
export function EffectPicker(p: ChipProps & { wayRef: WayRef }) {
  const { chunk, wayRef, onClose } = p;
  const { entities, edit, screen } = useBuild();
  const [form, setForm] = useState<string>();
  const id = chunk.case ?? caseId(wayRef);
  const count = Object.keys((gate(wayRef, 'cases', id, 'do') as object | undefined) ?? {}).length;
  const add = (effect: Record<string, Json>, also: Op[] = []) => {
    onClose();
    const path = ['cases', id];
    const body = { [newId('d')]: { pos: count + 1, ...effect } };
    const [effectId = ''] = Object.keys(body);
    if (gate(wayRef, ...path) === undefined)
      return void edit([...also, ...putGate(wayRef, path, { pos: 1, do: body })]);
    void edit([...also, ...putGate(wayRef, [...path, 'do', effectId], body[effectId] as Json)]);
  };
  if (chunk.item) {
    return (
      <Pop label="This action" onClose={onClose}>
        <Flex p="12px" gap="8px" align="center">
          {chunk.text}
          <Action
            tone="bad"
            autoFocus
            onClick={() => {
              onClose();
              void edit(putGate(wayRef, ['cases', id, 'do', chunk.item ?? ''], undefined));
            }}
          >
            take it away
          </Action>
        </Flex>
      </Pop>
    );
  }
  if (form === 'setVar') return <VariableForm wayRef={wayRef} onClose={onClose} onAdd={add} />;
  if (form) return <EffectForm kind={form} wayRef={wayRef} onClose={onClose} onAdd={add} />;
  const actions = actionsOf(entities, screen);
  return (
    <Picker
      label="First do"
      up
      choices={actions}
      onClose={onClose}
      onChoose={(c) => {
        const action = actions.find((a) => a.id === c.id);
        if (action?.effect) add(action.effect);
        else setForm(action?.form);
      }}
    />
  );
}

const comparisons: [string, string][] = [
  ['is', 'is'],
  ['isNot', 'is not'],
  ['contains', 'contains'],
  ['atLeast', 'is at least'],
  ['atMost', 'is at most'],
  ['empty', 'is empty'],
  ['notEmpty', 'is not empty'],
];

interface FormProps {
  kind: string;
  wayRef: WayRef;
  onClose: () => void;
  onAdd: (effect: Record<string, Json>) => void;
}

/** What is to be said of an action before it is there: a field, a comparison, a value. */
function EffectForm({ kind, wayRef, onClose, onAdd }: FormProps) {
  const { entities, screen, as } = useBuild();
  const own = recordTable(screensOf(entities).find((s) => s.id === screen));
  const tableId = kind === 'set' ? own : mainListOf(entities, screen)?.table;
  const table = tablesOf(entities).find((t) => t.id === tableId);
  const fields = (table?.fields ?? []).filter((f) => f.alias !== 'id');
  const [field, setField] = useState(fields[0]?.id ?? '');
  const chosen = fields.find((f) => f.id === field);
  const [compare, setCompare] = useState('is');
  const [value, setValue] = useState('');
  const [tag, setTag] = useState('');
  const [desc, setDesc] = useState(false);
  const [problem, setProblem] = useState<string>();
  const plain = kind !== 'write' && (chosen?.choices || chosen?.type === 'text' || kind === 'find');
  const needsValue = kind !== 'sort' && !(kind === 'filter' && (compare === 'empty' || compare === 'notEmpty'));
  const read = async (words: string) => {
    const answer = await readCondition(spotOf(wayRef, as), { text: words, value: true });
    if (answer.problem) setProblem(answer.problem.message);
    return answer.problem ? undefined : answer.stored;
  };
  const save = async () => {
    setProblem(undefined);
    const words = value || (chosen?.choices && kind !== 'find' ? (chosen.choices[0] ?? '') : '');
    const stored = needsValue ? await read(plain && !looksWorkedOut(words) ? JSON.stringify(words) : words) : undefined;
    if (needsValue && stored === undefined) return;
    if (kind === 'set') return onAdd({ kind, fields: { [field]: stored ?? '' } });
    if (kind === 'sort') return onAdd({ kind, path: field, ...(desc ? { desc } : {}) });
    if (kind === 'find') return onAdd({ kind, words: stored ?? '' });
    if (kind === 'filter') return onAdd({ kind, path: field, compare, ...(stored ? { value: stored } : {}) });
    const path = await read(tag);
    if (path !== undefined) onAdd({ kind: 'write', tag: path, value: stored ?? '' });
  };
  return (
    <EffectFrame label="First do" width="460px" problem={problem} onSave={() => void save()} onClose={onClose}>
      {{ set: 'set', filter: 'narrow to', sort: 'order by', find: 'find', write: 'write to' }[kind]}
      {kind === 'write' && (
        <Line
          aria-label="Tag"
          autoFocus
          w="220px"
          placeholder="record.equip.drive.set_speed"
          value={tag}
          onChange={(e) => setTag(e.target.value)}
        />
      )}
      {kind !== 'find' && kind !== 'write' && (
        <Select aria-label="Field" autoFocus value={field} onChange={(e) => setField(e.target.value)}>
          {fields.map((f) => (
            <option key={f.id} value={f.id}>
              {f.label.toLowerCase()}
            </option>
          ))}
        </Select>
      )}
      {kind === 'filter' && (
        <Select aria-label="How" value={compare} onChange={(e) => setCompare(e.target.value)}>
          {comparisons.map(([id, words]) => (
            <option key={id} value={id}>
              {words}
            </option>
          ))}
        </Select>
      )}
      {kind === 'sort' && (
        <Flex as="label" gap="6px">
          <input type="checkbox" checked={desc} onChange={(e) => setDesc(e.target.checked)} />
          the highest first
        </Flex>
      )}
      {(kind === 'set' || kind === 'write') && 'to'}
      {needsValue &&
        (chosen?.choices && kind !== 'find' && kind !== 'write' ? (
          <Select aria-label="Value" value={value || chosen.choices[0]} onChange={(e) => setValue(e.target.value)}>
            {chosen.choices.map((c) => (
              <option key={c}>{c}</option>
            ))}
          </Select>
        ) : (
          <Box w="150px">
            <Line
              aria-label="Value"
              autoFocus={kind === 'find'}
              value={value}
              placeholder={plain ? 'text' : 'today(), user.record, 3'}
              onChange={(e) => setValue(e.target.value)}
            />
          </Box>
        ))}
    </EffectFrame>
  );
}

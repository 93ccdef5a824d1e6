import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import type { ConditionRead, ConditionRow, NameInfo, Rows } from '../api/client';
import { Action, Line, Select } from '../ui/controls';
import { ConditionText } from './ConditionText';
import { comparesFor } from './compares';
import { readCondition, useNames } from './condition';
import { NamePicker } from './NamePicker';

interface EditorProps {
  project: string;
  screen: string;
  element: string | undefined;
  stored: string; // "" for none yet
  onSave: (stored: string | undefined) => void;
  onClose: () => void;
}

/** A condition as rows of field, comparison and value, or as text: two views of one tree. */
export function ConditionEditor(p: EditorProps) {
  const names = useNames(p.project, p.screen, p.element);
  const [read, setRead] = useState<ConditionRead>();
  const [asText, setAsText] = useState(false);
  const [rows, setRows] = useState<Rows>({ mode: 'all', rows: [] });
  const [text, setText] = useState('');
  // What is stored is read once, when the editor opens.
  useEffect(() => {
    if (!p.stored) return;
    readCondition(p.project, p.screen, p.element, { text: p.stored }).then((r) => {
      setRead(r);
      setText(r.shown);
      if (r.rows) setRows(r.rows);
      else setAsText(true);
    });
  }, [p.project, p.screen, p.element, p.stored]);
  const check = async (what: { text?: string; rows?: Rows }) => {
    const r = await readCondition(p.project, p.screen, p.element, what);
    setRead(r);
    return r;
  };
  const changeRows = (next: Rows) => {
    setRows(next);
    if (next.rows.length > 0) void check({ rows: next }).then((r) => setText(r.shown));
    else setRead(undefined);
  };
  const turn = () => {
    if (asText && read?.rows) setRows(read.rows);
    setAsText(!asText);
  };
  const save = async () => {
    if (!asText && rows.rows.length === 0) return p.onSave(undefined);
    const r = await check(asText ? { text } : { rows });
    if (!r.problem) p.onSave(r.stored);
  };
  return (
    <Box p="12px" w="560px" maxW="80vw">
      <Flex align="center" gap="8px" mb="10px">
        {asText ? (
          <Box fontSize="note" color="muted" flex="1">
            as text
          </Box>
        ) : (
          <Flex flex="1" align="center" gap="6px" fontSize="note" color="muted">
            while
            <Select
              aria-label="All or any"
              value={rows.mode}
              onChange={(e) => changeRows({ ...rows, mode: e.target.value })}
              fontSize="note"
              minH="28px"
            >
              <option value="all">all of these hold</option>
              <option value="any">any of these holds</option>
            </Select>
          </Flex>
        )}
        <Action
          tone="quiet"
          onClick={turn}
          disabled={asText && text !== '' && !read?.rows}
          title={asText && !read?.rows ? 'Rows cannot show this; it stays text' : undefined}
        >
          {asText ? 'as rows' : 'as text'}
        </Action>
      </Flex>
      {asText ? (
        <ConditionText
          text={text}
          problem={read?.problem}
          onText={(t) => {
            setText(t);
            void check({ text: t });
          }}
        />
      ) : (
        <RowList names={names.data ?? []} rows={rows} onChange={changeRows} />
      )}
      <Box minH="22px" fontSize="note" color="muted" my="8px" aria-live="polite">
        {read && !read.problem && read.phrase && <>means: {read.phrase}</>}
        {!asText && read?.problem && <Box color="brick">{read.problem.message}</Box>}
      </Box>
      <Flex gap="8px">
        <Action tone="main" onClick={() => void save()}>
          Set condition
        </Action>
        {p.stored && <Action onClick={() => p.onSave(undefined)}>No condition</Action>}
        <Action tone="quiet" onClick={p.onClose}>
          Leave as it was
        </Action>
      </Flex>
    </Box>
  );
}

function RowList({ names, rows, onChange }: { names: NameInfo[]; rows: Rows; onChange: (r: Rows) => void }) {
  const put = (i: number, row: ConditionRow | undefined) =>
    onChange({
      ...rows,
      rows: row ? rows.rows.map((r, k) => (k === i ? row : r)) : rows.rows.filter((_, k) => k !== i),
    });
  const add = (n: NameInfo) =>
    onChange({
      ...rows,
      rows: [
        ...rows.rows,
        {
          path: n.path,
          compare: comparesFor(n.type, !!n.choices)[0]?.[0] ?? 'is',
          value: n.choices?.[0] ?? (n.type === 'yesno' ? 'true' : ''),
        },
      ],
    });
  return (
    <>
      {rows.rows.map((r, i) => (
        <RowLine
          // biome-ignore lint/suspicious/noArrayIndexKey: rows have no other identity than their order
          key={`${i}.${r.path}`}
          row={r}
          name={names.find((n) => n.path === r.path)}
          onChange={(next) => put(i, next)}
        />
      ))}
      <NamePicker names={names} onChoose={add} />
    </>
  );
}

function RowLine({
  row,
  name,
  onChange,
}: {
  row: ConditionRow;
  name: NameInfo | undefined;
  onChange: (r: ConditionRow | undefined) => void;
}) {
  const compares = comparesFor(name?.type ?? 'text', !!name?.choices);
  const needsValue = row.compare !== 'empty' && row.compare !== 'notEmpty';
  const set = (value: string) => onChange({ ...row, value });
  return (
    <Flex align="center" gap="6px" mb="6px">
      <Box flex="1" minW={0} fontWeight="700" truncate title={row.path}>
        {name?.words ?? row.path}
      </Box>
      <Select
        aria-label="Comparison"
        value={row.compare}
        onChange={(e) => onChange({ ...row, compare: e.target.value })}
      >
        {compares.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
      {needsValue && <ValueEditor name={name} value={row.value} onChange={set} />}
      <Action tone="quiet" aria-label="Remove this row" onClick={() => onChange(undefined)}>
        ×
      </Action>
    </Flex>
  );
}

function ValueEditor({
  name,
  value,
  onChange,
}: {
  name: NameInfo | undefined;
  value: string;
  onChange: (v: string) => void;
}) {
  const options = name?.choices ?? (name?.type === 'yesno' ? ['true', 'false'] : undefined);
  if (options) {
    return (
      <Select aria-label="Value" value={value} onChange={(e) => onChange(e.target.value)} maxW="170px">
        {options.map((c) => (
          <option key={c} value={c}>
            {{ true: 'yes', false: 'no' }[c] ?? c}
          </option>
        ))}
      </Select>
    );
  }
  return (
    <Box w="150px">
      <Line
        aria-label="Value"
        type={name?.type === 'date' && value !== 'today()' ? 'date' : 'text'}
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
    </Box>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Line, Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import { tablesOf, text } from '../../document';
import { newVariable, type VariableDoc, variablesOf, variableTypes } from '../../variables';
import { EffectFrame } from './EffectFrame';
import type { FormProps } from './forms';
import { useReading } from './useReading';
import { ValueEntry } from './ValueEntry';
import { type Entry, entryOf, type Wanted } from './values';

/** Which variable is set, and to what; one that is missing is made here. */
export function VariableForm({ wayRef, effect, standing, onClose, onDone }: FormProps) {
  const { entities, screen } = useBuild();
  const { problem, setProblem, entry: read } = useReading(wayRef);
  const all = variablesOf(entities).filter((v) => !v.screen || (v.screen === screen && !wayRef.shared));
  const [id, setId] = useState(text(effect, 'variable') || all[0]?.id || '+');
  const [fresh, setFresh] = useState({ label: '', type: 'text', table: tablesOf(entities)[0]?.id ?? '', screen: '' });
  const kept = all.find((v) => v.id === id);
  const variable = kept ?? { ...blank, ...fresh };
  const wanted: Wanted = { ...variable, self: kept && `vars.${kept.id}` };
  const [entry, setEntry] = useState<Entry>(() => {
    const stored = text(effect, 'value');
    if (stored) return entryOf(wanted, stored);
    return { how: effect ? 'start' : '', typed: '' };
  });
  const turnTo = (next: string) => {
    setId(next);
    setEntry({ how: '', typed: '' });
  };
  const save = async () => {
    if (!kept && !fresh.label.trim()) return setProblem('Give it a name.');
    const made = kept ? undefined : newVariable(entities, { ...fresh, label: fresh.label.trim() });
    const body = { kind: 'setVar', variable: kept?.id ?? made?.id ?? '' };
    if (entry.how === 'start') return onDone(body, made?.ops);
    const stored = await read(entry);
    if (stored !== undefined) onDone({ ...body, value: stored }, made?.ops);
  };
  return (
    <EffectFrame
      label="Set a variable"
      width="500px"
      problem={problem}
      onSave={save}
      onClose={onClose}
      standing={standing}
    >
      set
      <Select aria-label="Variable" autoFocus value={id} onChange={(e) => turnTo(e.target.value)}>
        {!kept && id !== '+' && <option value={id}>one that is gone</option>}
        {all.map((v) => (
          <option key={v.id} value={v.id}>
            {v.label.toLowerCase()}
            {v.screen ? ' (this screen)' : ''}
          </option>
        ))}
        <option value="+">a new variable …</option>
      </Select>
      {!kept && (
        <Fresh
          fresh={fresh}
          onFresh={(next) => {
            setFresh(next);
            if (next.type !== fresh.type || next.table !== fresh.table) setEntry({ how: '', typed: '' });
          }}
          shared={wayRef.shared !== undefined}
        />
      )}
      to
      <ValueEntry wayRef={wayRef} wanted={wanted} entry={entry} onEntry={setEntry} start={variable.start} />
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

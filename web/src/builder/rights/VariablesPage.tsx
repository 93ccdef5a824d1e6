import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Select } from '../../ui/controls';
import { screensOf, tablesOf, text } from '../document';
import { type Json, put } from '../edit';
import { Typed } from '../sentence/Typed';
import { newVariable, usesOf, type VariableDoc, variablesOf, variableTypes } from '../variables';
import { useRights } from './context';
import { NewLine } from './NewLine';
import { ViewHead } from './ViewHead';

/** What a browser tab keeps: typed, with a beginning, for the project or for one screen. */
export function VariablesPage() {
  const { entities } = useRights();
  const all = variablesOf(entities);
  return (
    <>
      <ViewHead title="Variables">
        What a tab keeps while somebody works. Ways set them; conditions, words and bindings read them.
      </ViewHead>
      <Box overflowY="auto" flex="1" minH={0}>
        {all.length === 0 && <Box color="muted">There is none yet.</Box>}
        {all.map((v) => (
          <VariableCard key={v.id} variable={v} />
        ))}
        <NewVariable />
      </Box>
    </>
  );
}

function VariableCard({ variable: v }: { variable: VariableDoc }) {
  const { entities, edit, openScreen } = useRights();
  const uses = usesOf(entities, v.id);
  const set = (name: string, value: Json | undefined) => void edit(put(entities, [v.id, name], value));
  const table = tablesOf(entities).find((t) => t.id === v.table);
  const kind = v.type === 'record' ? `a ${table?.one ?? 'record'}` : variableTypes.find(([id]) => id === v.type)?.[1];
  return (
    <Box as="section" aria-label={v.label} borderBottomWidth="1px" borderColor="rule" py="12px">
      <Flex align="center" gap="12px">
        <Typed label="Name" width="220px" value={v.label} onSave={(label) => label && set('label', label)} />
        <Box fontSize="note" color="muted" flex="1">
          {kind}, in expressions{' '}
          <Box as="span" fontFamily="mono">
            vars.{v.alias}
          </Box>
        </Box>
        <Action
          tone="quiet"
          disabled={uses.length > 0}
          title={uses.length > 0 ? 'It is in use' : undefined}
          onClick={() => void edit([{ op: 'remove', path: `/${v.id}` }])}
        >
          remove
        </Action>
      </Flex>
      <Flex mt="6px" gap="18px" align="center" fontSize="note" wrap="wrap">
        <Flex as="label" gap="6px" align="center">
          begins with
          {v.type === 'yesno' ? (
            <Select
              aria-label="Begins with"
              value={v.start}
              onChange={(e) => set('start', e.target.value || undefined)}
            >
              <option value="false">no</option>
              <option value="true">yes</option>
              <option value="">nothing</option>
            </Select>
          ) : v.type === 'record' ? (
            <Box fontWeight="700">nothing</Box>
          ) : (
            <Typed label="Begins with" width="130px" value={v.start} onSave={(s) => set('start', s || undefined)} />
          )}
        </Flex>
        {v.type === 'text' && (
          <Flex as="label" gap="6px" align="center">
            may be
            <Typed
              label="May be"
              width="220px"
              value={v.choices.join(', ')}
              onSave={(s) => set('choices', choicesIn(s))}
            />
          </Flex>
        )}
        <Flex as="label" gap="6px" align="center">
          kept
          <Select aria-label="Kept" value={v.screen} onChange={(e) => set('screen', e.target.value || undefined)}>
            <option value="">by the tab, on every screen</option>
            {screensOf(entities).map((s) => (
              <option key={s.id} value={s.id}>
                on “{s.title}” only
              </option>
            ))}
          </Select>
        </Flex>
      </Flex>
      <Flex mt="6px" gap="4px 14px" wrap="wrap" fontSize="note" color="muted">
        {uses.length === 0 ? 'Used nowhere.' : 'Used by'}
        {uses.map((u) =>
          text(entities[u.id], 'kind') === 'screen' ? (
            <Box
              as="button"
              key={u.id}
              color="ink"
              fontWeight="600"
              textDecoration="underline"
              cursor="pointer"
              onClick={() => openScreen(u.id)}
            >
              {u.words}
            </Box>
          ) : (
            <Box key={u.id} color="ink" fontWeight="600">
              {u.words}
            </Box>
          ),
        )}
      </Flex>
    </Box>
  );
}

/** A list of choices as typed: between commas; nothing for any text. */
function choicesIn(words: string): string[] | undefined {
  const all = words
    .split(',')
    .map((w) => w.trim())
    .filter(Boolean);
  return all.length > 0 ? all : undefined;
}

function NewVariable() {
  const { entities, edit } = useRights();
  const tables = tablesOf(entities);
  const [label, setLabel] = useState('');
  const [type, setType] = useState('text');
  const [table, setTable] = useState(tables[0]?.id ?? '');
  const add = () => {
    if (!label.trim()) return;
    void edit(newVariable(entities, { label: label.trim(), type, table, screen: '' }).ops);
    setLabel('');
  };
  return (
    <NewLine label="Name of a new variable" hint="my lift" name={label} onName={setLabel} onSubmit={add}>
      <Select aria-label="What it holds" value={type} onChange={(e) => setType(e.target.value)}>
        {variableTypes.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
      {type === 'record' && (
        <Select aria-label="Of which table" value={table} onChange={(e) => setTable(e.target.value)}>
          {tables.map((t) => (
            <option key={t.id} value={t.id}>
              {t.label.toLowerCase()}
            </option>
          ))}
        </Select>
      )}
      <Action type="submit" disabled={!label.trim()}>
        Add
      </Action>
    </NewLine>
  );
}

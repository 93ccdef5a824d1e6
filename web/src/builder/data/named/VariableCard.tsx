import { Box, Flex } from '@chakra-ui/react';
import { type Part, put } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { screensOf } from '../../../document/screens';
import { usesOf, type VariableDoc, variableTypes } from '../../../document/variables';
import { Action, Select } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';

/** One variable: what it holds, what it begins with, how long it is kept, and where it is used. */
export function VariableCard({ variable: v }: { variable: VariableDoc }) {
  const { entities, edit, openScreen } = useRights();
  const uses = usesOf(entities, v.id);
  const set = (name: string, value: Part | undefined) => void edit(put(entities, [v.id, name], value));
  const table = entityOf(entities, v.table, 'table');
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
              value={v.start ?? ''}
              onChange={(e) => set('start', e.target.value || undefined)}
            >
              <option value="false">no</option>
              <option value="true">yes</option>
              <option value="">nothing</option>
            </Select>
          ) : v.type === 'record' ? (
            <Box fontWeight="700">nothing</Box>
          ) : (
            <Typed
              label="Begins with"
              width="130px"
              value={v.start ?? ''}
              onSave={(s) => set('start', s || undefined)}
            />
          )}
        </Flex>
        {v.type === 'text' && (
          <Flex as="label" gap="6px" align="center">
            may be
            <Typed
              label="May be"
              width="220px"
              value={v.choices?.join(', ') ?? ''}
              onSave={(s) => set('choices', choicesIn(s))}
            />
          </Flex>
        )}
        <Flex as="label" gap="6px" align="center">
          kept
          <Select aria-label="Kept" value={v.screen ?? ''} onChange={(e) => set('screen', e.target.value || undefined)}>
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
          entities[u.id]?.kind === 'screen' ? (
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

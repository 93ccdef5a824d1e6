import { Flex } from '@chakra-ui/react';
import { aliasOf } from '../../../document/alias';
import type { Input } from '../../../document/document.gen';
import { newId, put } from '../../../document/edit';
import { entityOf, posBehind } from '../../../document/parts';
import { type InputDoc, inputsOf, type ScreenDoc } from '../../../document/screens';
import { reachedOf, tablesOf } from '../../../document/tables';
import { variableTypes } from '../../../document/variables';
import { Action, Select } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { Typed } from '../../../ui/Typed';
import { useBuild } from '../../context';
import { LeftOut } from './LeftOut';

/** What a screen is opened with: each with its words, whether it has to be given, and what it narrows. */
export function ScreenInputs({ screen: doc }: { screen: ScreenDoc }) {
  const { entities, edit } = useBuild();
  const inputs = inputsOf(doc);
  const add = (of: string) => {
    const table = tablesOf(entities).find((t) => t.id === of);
    const words = table ? table.one.charAt(0).toUpperCase() + table.one.slice(1) : 'New input';
    const taken = inputs.map((i) => i.alias);
    const alias = [aliasOf(words), ...inputs.map((_, i) => `${aliasOf(words)}_${i + 2}`)].find(
      (a) => !taken.includes(a),
    );
    const body: Input = {
      pos: posBehind(inputs),
      alias: alias ?? aliasOf(words),
      label: words,
      type: table ? 'record' : of,
      ...(table ? { table: of } : {}),
    };
    void edit(put(entities, [doc.id, 'inputs', newId('i')], body));
  };
  return (
    <Labelled label="Is opened with">
      <Flex gap="8px 14px" wrap="wrap" align="center">
        {inputs.map((i) => (
          <OneInput key={i.id} screen={doc} input={i} />
        ))}
        <Select aria-label="Add an input" value="" maxW="190px" onChange={(e) => e.target.value && add(e.target.value)}>
          <option value="">+ something more</option>
          {tablesOf(entities).map((t) => (
            <option key={t.id} value={t.id}>
              one of {t.label.toLowerCase()}
            </option>
          ))}
          {variableTypes
            .filter(([id]) => id !== 'record')
            .map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
        </Select>
      </Flex>
    </Labelled>
  );
}

function OneInput({ screen: doc, input: i }: { screen: ScreenDoc; input: InputDoc }) {
  const { entities, edit } = useBuild();
  const path = [doc.id, 'inputs', i.id];
  const own = doc.record === i.id;
  const lists = Object.values(doc.elements ?? {}).flatMap((e) => ('table' in e && e.table ? [e.table] : []));
  // A record narrows whatever holds such a one; other fields are those of one table alone.
  const narrowed = [...new Set(lists)].flatMap((t) =>
    reachedOf(entities, t)
      .filter((f) => (i.table ? f.field.references === i.table : f.field.type === i.type))
      .map((f): [string, string] => [
        i.table ? f.path : `${t}:${f.path}`,
        `${entityOf(entities, t, 'table')?.label ?? ''}: ${f.label.toLowerCase()}`,
      ]),
  );
  const among = [...new Map(narrowed)];
  return (
    <Flex align="center" gap="6px">
      <Typed
        label={`Words of the input ${i.label}`}
        width="120px"
        value={i.label}
        onSave={(v) => v && void edit(put(entities, [...path, 'label'], v))}
      />
      {own ? (
        <span>its own record</span>
      ) : (
        <>
          <Flex as="label" gap="4px" align="center">
            <input
              type="checkbox"
              checked={i.required ?? false}
              onChange={() =>
                void edit([
                  ...put(entities, [...path, 'required'], i.required ? undefined : true),
                  ...put(entities, [...path, 'several'], undefined), // what is needed is one
                ])
              }
            />
            needed
          </Flex>
          {among.length > 0 && (
            <Select
              aria-label={`What ${i.label} narrows`}
              maxW="280px"
              value={i.filter ?? ''}
              onChange={(e) =>
                void edit([
                  ...put(entities, [...path, 'filter'], e.target.value || undefined),
                  ...(e.target.value ? [] : put(entities, [...path, 'several'], undefined)),
                ])
              }
            >
              <option value="">narrows nothing</option>
              {i.filter && !among.some(([id]) => id === i.filter) && (
                <option value={i.filter}>narrows as it does now</option>
              )}
              {among.map(([id, words]) => (
                <option key={id} value={id}>
                  narrows {words}
                </option>
              ))}
            </Select>
          )}
          {i.filter && !i.required && (i.compare ?? 'is') === 'is' && (
            <Flex as="label" gap="4px" align="center" title="With Ctrl several are chosen, of which one is enough">
              <input
                type="checkbox"
                checked={i.several ?? false}
                onChange={() => void edit(put(entities, [...path, 'several'], i.several ? undefined : true))}
              />
              several at once
            </Flex>
          )}
          {i.filter && <LeftOut screen={doc} input={i} />}
          <Action
            tone="quiet"
            px="6px"
            aria-label={`Remove the input ${i.label}`}
            onClick={() => void edit(put(entities, path, undefined))}
          >
            ✕
          </Action>
        </>
      )}
    </Flex>
  );
}

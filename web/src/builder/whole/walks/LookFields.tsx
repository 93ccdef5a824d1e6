import { Box, Flex } from '@chakra-ui/react';
import type { WalkStep } from '../../../document/document.gen';
import { inOrder } from '../../../document/parts';
import { reachedOf } from '../../../document/tables';
import { Action, Line, Select } from '../../../ui/controls';
import { Tick } from '../../../ui/Tick';
import { useWhole } from '../context';
import { listTable } from './stepKinds';

const compares: [id: string, words: string][] = [
  ['is', 'is'],
  ['isNot', 'is not'],
  ['contains', 'contains'],
  ['atLeast', 'is at least'],
  ['atMost', 'is at most'],
  ['empty', 'is empty'],
  ['notEmpty', 'is not empty'],
];

interface LookProps {
  step: WalkStep;
  onChange: (more: Partial<WalkStep>) => void;
}

/** What is looked for in the list of a screen, what it is narrowed to, and by what it is ordered. */
export function LookFields({ step, onChange }: LookProps) {
  const { draft } = useWhole();
  const table = listTable(draft.entities, step.screen);
  const fields = table ? reachedOf(draft.entities, table) : [];
  const filters = inOrder(step.filters);
  const [sort] = inOrder(step.sort);
  const put = (all: { path: string; compare: string; value?: string }[]) =>
    onChange({
      filters:
        all.length > 0
          ? Object.fromEntries(
              all.map((f, i) => [
                `f_${i + 1}`,
                { path: f.path, compare: f.compare, ...(f.value && { value: f.value }), pos: i + 1 },
              ]),
            )
          : undefined,
    });
  if (!table) return <Box fontSize="note">Choose a screen with a list.</Box>;
  const options = fields.map((f) => (
    <option key={f.path} value={f.path}>
      {f.label}
    </option>
  ));
  return (
    <Flex direction="column" gap="6px">
      <Line
        fontSize="note"
        aria-label="What is looked for"
        placeholder="words that are looked for"
        value={step.find ?? ''}
        onChange={(e) => onChange({ find: e.target.value || undefined })}
      />
      {filters.map((f, i) => {
        const other = (more: Partial<typeof f>) => put(filters.map((g) => (g.id === f.id ? { ...g, ...more } : g)));
        return (
          <Flex key={f.id} gap="6px" align="center">
            <Select
              aria-label={`Filter ${i + 1}: field`}
              fontSize="note"
              value={f.path}
              onChange={(e) => other({ path: e.target.value })}
            >
              {options}
            </Select>
            <Select
              aria-label={`Filter ${i + 1}: comparison`}
              fontSize="note"
              value={f.compare}
              onChange={(e) => other({ compare: e.target.value })}
            >
              {compares.map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </Select>
            {f.compare !== 'empty' && f.compare !== 'notEmpty' && (
              <Line
                fontSize="note"
                aria-label={`Filter ${i + 1}: value`}
                value={f.value ?? ''}
                onChange={(e) => other({ value: e.target.value })}
              />
            )}
            <Action
              type="button"
              tone="quiet"
              aria-label={`without filter ${i + 1}`}
              onClick={() => put(filters.filter((g) => g.id !== f.id))}
            >
              ×
            </Action>
          </Flex>
        );
      })}
      <Flex gap="6px" align="center" wrap="wrap">
        <Action type="button" onClick={() => put([...filters, { path: fields[0]?.path ?? '', compare: 'is' }])}>
          + narrow it
        </Action>
        <Select
          aria-label="Ordered by"
          fontSize="note"
          value={sort?.path ?? ''}
          onChange={(e) =>
            onChange({
              sort: e.target.value
                ? { o_1: { pos: 1, path: e.target.value, ...(sort?.desc && { desc: true }) } }
                : undefined,
            })
          }
        >
          <option value="">in its own order</option>
          {options}
        </Select>
        {sort && (
          <Tick
            words="from its end"
            on={sort.desc ?? false}
            onTick={() => onChange({ sort: { o_1: { pos: 1, path: sort.path, ...(!sort.desc && { desc: true }) } } })}
          />
        )}
      </Flex>
    </Flex>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { wordsOf } from '../../administer/problems';
import { Told } from '../../administer/Told';
import { api, ask, type Draft, type Op } from '../../api/client';
import type { Document, Screen } from '../../document/document.gen';
import { freeSlug, newScreen } from '../../document/newScreen';
import { entitiesOf } from '../../document/parts';
import { tablesOf } from '../../document/tables';
import { Action, Line, Select } from '../../ui/controls';
import { Frame } from '../../ui/Frame';

interface NewProps {
  project: string;
  draft: Draft;
  edit: (patch: Op[]) => Promise<unknown>;
  onClose: (made?: string) => void;
}

interface Purpose {
  id: string;
  words: string;
  type: Screen['type'];
  table?: 'any' | 'equipped'; // it is of a table
  proposal?: 'list' | 'form' | 'steps' | 'dashboard' | 'operator'; // what the server makes of it
}

const purposes: Purpose[] = [
  { id: 'list', words: 'a list of …', type: 'list', table: 'any', proposal: 'list' },
  { id: 'form', words: 'a form for one of …', type: 'form', table: 'any', proposal: 'form' },
  { id: 'steps', words: 'guided steps for a new one of …', type: 'form', table: 'any', proposal: 'steps' },
  { id: 'dashboard', words: 'a dashboard of …', type: 'dashboard', table: 'any', proposal: 'dashboard' },
  {
    id: 'operator',
    words: 'an operator screen for one of …',
    type: 'operator',
    table: 'equipped',
    proposal: 'operator',
  },
  { id: 'menu', words: 'a menu', type: 'menu' },
  { id: 'notice', words: 'a notice', type: 'notice' },
];

/** A new screen, by what it is for: it begins with what is worth having, or empty. */
export function NewScreen({ project, draft, edit, onClose }: NewProps) {
  const { entities } = draft;
  const equipped = new Set(entitiesOf(entities, 'equipment').map((e) => e.table));
  const [chosen, setChosen] = useState(purposes[0]);
  const [empty, setEmpty] = useState(false);
  const [title, setTitle] = useState('');
  const [of, setOf] = useState('');
  const tables = tablesOf(entities).filter((t) => chosen?.table !== 'equipped' || equipped.has(t.id));
  const table = tables.find((t) => t.id === of) ?? tables[0];
  const offered = purposes.filter((p) => p.table !== 'equipped' || equipped.size > 0);
  const usual = chosen && usualTitle(chosen, table);
  const make = useMutation({
    mutationFn: async () => {
      if (!chosen) return;
      const called = title.trim() || usual || '';
      if (!empty && chosen.proposal && table) {
        const made = await ask(
          api.POST('/api/build/{project}/proposals/{table}', {
            params: { path: { project, table: table.id } },
            body: { what: chosen.proposal },
          }),
        );
        if (made.screen) {
          await edit(title.trim() ? renamed(entities, made.patch, made.screen, title.trim()) : made.patch);
          return onClose(made.screen);
        }
        throw new Error(made.words.join(' '));
      }
      const { id, body } = newScreen(entities, called, chosen.type, chosen.table && table ? table : undefined);
      if (empty) body.elements = {};
      await edit([{ op: 'add', path: `/${id}`, value: body }]);
      onClose(id);
    },
  });
  return (
    <Frame title="A new screen" told width="420px" onClose={() => onClose()}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          make.mutate();
        }}
      >
        <Flex direction="column" gap="10px">
          <Select
            aria-label="What it is for"
            autoFocus
            value={chosen?.id}
            onChange={(e) => setChosen(purposes.find((p) => p.id === e.target.value))}
          >
            {offered.map((p) => (
              <option key={p.id} value={p.id}>
                {p.words}
              </option>
            ))}
          </Select>
          {chosen?.table && (
            <Select aria-label="Of which table" value={table?.id} onChange={(e) => setOf(e.target.value)}>
              {tables.map((t) => (
                <option key={t.id} value={t.id}>
                  {t.label}
                </option>
              ))}
            </Select>
          )}
          <Line
            aria-label="Its name"
            placeholder={usual || 'Its name'}
            value={title}
            onChange={(e) => setTitle(e.target.value)}
          />
          <Flex as="label" gap="8px" align="center" fontSize="note">
            <input type="checkbox" checked={empty} onChange={(e) => setEmpty(e.target.checked)} />
            empty, without what would be on it
          </Flex>
          <Told words={make.error instanceof Error ? (wordsOf(make.error) ?? make.error.message) : undefined} />
          <Box>
            <Action
              type="submit"
              tone="main"
              disabled={make.isPending || (!title.trim() && !usual) || (chosen?.table !== undefined && !table)}
            >
              Make it
            </Action>
          </Box>
        </Flex>
      </form>
    </Frame>
  );
}

function usualTitle(p: Purpose, table: { label: string; one: string } | undefined): string {
  if (!table || !p.table) return '';
  const one = table.one.charAt(0).toUpperCase() + table.one.slice(1);
  return (
    {
      list: table.label,
      form: one,
      steps: `New ${table.one}, step by step`,
      dashboard: `${table.label} in figures`,
      operator: `${one}, plant`,
    }[p.id] ?? ''
  );
}

/** What is proposed, under a title and an address of its own. */
function renamed(d: Document, patch: Op[], screen: string, title: string): Op[] {
  return patch.map((o) =>
    o.op === 'add' && o.path === `/${screen}` && typeof o.value === 'object'
      ? { ...o, value: { ...o.value, title, slug: freeSlug(d, title) } }
      : o,
  );
}

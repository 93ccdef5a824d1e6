import { Box, Flex } from '@chakra-ui/react';
import { Action, Select } from '../../ui/controls';
import { useBuild } from '../context';
import { rolesOf, screensOf, tablesOf, text } from '../document';
import { at, type Json, put } from '../edit';
import { Tick } from './RailForm';

const kinds = ['menu', 'list', 'form', 'dashboard', 'operator', 'notice'];

/** The rule that says on which screens, on which records and for whom a rail stands. */
export function RailPlacement({ rail, onWhile }: { rail: string; onWhile: (table: string) => void }) {
  const { entities, edit } = useBuild();
  const placed = (name: string) => (at(entities, [rail, 'placed', name]) as Record<string, Json> | undefined) ?? {};
  /** Ticks one of a set; an empty set means that there is no such rule. */
  const tick = (name: string, id: string, value: Json) => {
    const now = { ...placed(name) };
    if (id in now) delete now[id];
    else now[id] = value;
    void edit(put(entities, [rail, 'placed', name], Object.keys(now).length > 0 ? now : undefined));
  };
  const tables = placed('tables');
  return (
    <>
      <Box color="muted" mb="6px">
        It stands where every line that says something holds.
      </Box>
      <Rule label="on kinds of screens">
        {kinds.map((k) => (
          <Tick key={k} words={k} on={k in placed('kinds')} onTick={() => tick('kinds', k, true)} />
        ))}
      </Rule>
      <Rule label="on records of">
        {tablesOf(entities).map((t) => (
          <Flex key={t.id} gap="4px" align="center">
            <Tick words={t.label.toLowerCase()} on={t.id in tables} onTick={() => tick('tables', t.id, '')} />
            {t.id in tables && (
              <Action tone="quiet" minH="24px" onClick={() => onWhile(t.id)}>
                {tables[t.id] ? 'while …' : 'all of them'}
              </Action>
            )}
          </Flex>
        ))}
      </Rule>
      <Rule label="for">
        {rolesOf(entities).map((r) => (
          <Tick key={r.id} words={r.name} on={r.id in placed('roles')} onTick={() => tick('roles', r.id, true)} />
        ))}
      </Rule>
      <Named label="only on" chosen={placed('only')} onTick={(id) => tick('only', id, true)} />
      <Named label="except on" chosen={placed('except')} onTick={(id) => tick('except', id, true)} />
    </>
  );
}

interface NamedProps {
  label: string;
  chosen: Record<string, Json>;
  onTick: (screen: string) => void;
}

/** Screens by name. */
function Named({ label, chosen, onTick }: NamedProps) {
  const { entities } = useBuild();
  const words = label.charAt(0).toUpperCase() + label.slice(1);
  return (
    <Rule label={label}>
      <Select aria-label={words} value="" onChange={(e) => e.target.value && onTick(e.target.value)}>
        <option value="">choose a screen</option>
        {screensOf(entities)
          .filter((s) => !(s.id in chosen))
          .map((s) => (
            <option key={s.id} value={s.id}>
              {s.title}
            </option>
          ))}
      </Select>
      {Object.keys(chosen).map((id) => (
        <Tick key={id} words={text(entities[id], 'title') || 'a screen that is gone'} on onTick={() => onTick(id)} />
      ))}
    </Rule>
  );
}

function Rule({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Flex gap="10px" py="5px" borderTopWidth="1px" borderColor="rule" align="flex-start">
      <Box w="120px" color="muted" flexShrink={0}>
        {label}
      </Box>
      <Flex wrap="wrap" gap="4px 14px" role="group" aria-label={label}>
        {children}
      </Flex>
    </Flex>
  );
}

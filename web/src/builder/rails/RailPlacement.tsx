import { Box, Flex } from '@chakra-ui/react';
import type { Placement } from '../../document/document.gen';
import { put } from '../../document/edit';
import { entityOf } from '../../document/parts';
import { rolesOf } from '../../document/project';
import { screensOf } from '../../document/screens';
import { tablesOf } from '../../document/tables';
import { Action, Select } from '../../ui/controls';
import { Tick } from '../../ui/Tick';
import { useBuild } from '../context';

const kinds = ['menu', 'list', 'form', 'dashboard', 'operator', 'notice'];

interface PlacementProps {
  rail: string;
  placed: Placement;
  onWhile: (table: string) => void;
}

/** The rule that says on which screens, on which records and for whom a rail stands. */
export function RailPlacement({ rail, placed, onWhile }: PlacementProps) {
  const { entities, edit } = useBuild();
  /** Ticks one of a set; an empty set means that there is no such rule. */
  const tick = (name: keyof Placement, id: string, value: true | '') => {
    const { [id]: had, ...others } = placed[name] ?? {};
    const now = had === undefined ? { ...others, [id]: value } : others;
    void edit(put(entities, [rail, 'placed', name], Object.keys(now).length > 0 ? now : undefined));
  };
  const { kinds: onKinds = {}, tables = {}, roles = {}, only = {}, except = {} } = placed;
  return (
    <>
      <Box color="muted" mb="6px">
        It appears on screens that match all lines you fill in.
      </Box>
      <Rule label="on kinds of screens">
        {kinds.map((k) => (
          <Tick key={k} words={k} on={k in onKinds} onTick={() => tick('kinds', k, true)} />
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
          <Tick key={r.id} words={r.name} on={r.id in roles} onTick={() => tick('roles', r.id, true)} />
        ))}
      </Rule>
      <Named label="only on" chosen={only} onTick={(id) => tick('only', id, true)} />
      <Named label="except on" chosen={except} onTick={(id) => tick('except', id, true)} />
    </>
  );
}

interface NamedProps {
  label: string;
  chosen: Record<string, boolean>;
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
        <Tick
          key={id}
          words={entityOf(entities, id, 'screen')?.title || 'a screen that is gone'}
          on
          onTick={() => onTick(id)}
        />
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

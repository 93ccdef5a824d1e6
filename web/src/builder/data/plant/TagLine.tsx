import { Box } from '@chakra-ui/react';
import type { Op, TagNow } from '../../../api/client';
import type { Tag } from '../../../document/document.gen';
import { entityOf, type Kept } from '../../../document/parts';
import { fieldsOf } from '../../../document/tables';
import { Action } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';
import { LimitsPart } from './LimitsPart';
import { WatchdogPart } from './WatchdogPart';

const typeWords: Record<string, string> = { yesno: 'yes or no', whole: 'whole number', number: 'number', text: 'text' };

/** One value of a plant: its names, its unit, between what it may be written, and what it is now. */
export function TagLine({
  tag: t,
  now,
  path,
  table,
  inUse = false,
}: {
  tag: Kept<Tag>;
  now: TagNow | undefined;
  path: string;
  /** Whose records it belongs to, by their fields; absent where it belongs to none. */
  table?: string;
  inUse?: boolean;
}) {
  const { entities, edit } = useRights();
  const nodeWords = fieldsOf(entityOf(entities, table, 'table')).reduce(
    (node, f) => node.replaceAll(`{${f.id}}`, `‹${f.label}›`),
    t.node,
  );
  const set = (member: 'label' | 'unit' | 'min' | 'max', was: unknown, value: string | number | undefined) => {
    const one: Op =
      value === undefined || value === ''
        ? { op: 'remove', path: `${path}/${member}` }
        : { op: was === undefined ? 'add' : 'replace', path: `${path}/${member}`, value };
    if (one.op !== 'remove' || was !== undefined) void edit([one]);
  };
  const limit = (member: 'min' | 'max', typed: string) => {
    const value = typed === '' ? undefined : Number(typed);
    if (value === undefined || Number.isFinite(value)) set(member, t[member], value);
  };
  const numeric = t.type === 'whole' || t.type === 'number';
  return (
    <Box as="tr" borderBottomWidth="1px" borderColor="rule">
      <Box as="td" py="3px" w="21%">
        <Typed label={`Name of ${t.alias}`} width="95%" value={t.label} onSave={(v) => v && set('label', t.label, v)} />
      </Box>
      <Box as="td" pr="10px" w="21%" title={now?.node ?? t.node}>
        <Box fontFamily="mono" fontSize="12px" color="muted" wordBreak="break-all">
          {nodeWords}
        </Box>
      </Box>
      <Box as="td" pr="10px" w="16%" color="muted">
        {typeWords[t.type] ?? t.type}
        {t.writable ? ', can be written' : ''}
      </Box>
      <Box as="td" pr="10px" w="24%" whiteSpace="nowrap">
        {numeric && (
          <Typed
            label={`Unit of ${t.alias}`}
            hint="unit"
            width="66px"
            value={t.unit ?? ''}
            onSave={(v) => set('unit', t.unit, v)}
          />
        )}
        {t.type === 'yesno' && t.writable && <WatchdogPart tag={t} path={path} />}
        {numeric && t.writable && (
          <>
            {' '}
            from{' '}
            <Typed
              label={`Least of ${t.alias}`}
              hint="any"
              width="60px"
              value={t.min?.toString() ?? ''}
              onSave={(v) => limit('min', v)}
            />{' '}
            to{' '}
            <Typed
              label={`Most of ${t.alias}`}
              hint="any"
              width="60px"
              value={t.max?.toString() ?? ''}
              onSave={(v) => limit('max', v)}
            />
          </>
        )}
        {numeric && <LimitsPart tag={t} path={path} />}
      </Box>
      <Box as="td" pr="10px" w="11%" fontWeight="700" color={now?.value === undefined ? 'brick' : 'ink'}>
        {nowWords(t, now)}
      </Box>
      <Box as="td" textAlign="right">
        <Action
          tone="quiet"
          aria-label={`Remove ${t.label}`}
          disabled={inUse}
          title={inUse ? 'It is in use' : undefined}
          onClick={() => void edit([{ op: 'remove', path }])}
        >
          Remove
        </Action>
      </Box>
    </Box>
  );
}

/** A value with its unit, or why there is none. */
function nowWords(t: Tag, now: TagNow | undefined): string {
  if (!now) return '';
  if (now.value === undefined) return now.why ?? 'not known';
  if (t.type === 'yesno') return now.value === 'true' ? 'yes' : 'no';
  return `${now.value}${t.unit ? ` ${t.unit}` : ''}`;
}

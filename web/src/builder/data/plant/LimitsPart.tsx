import { Box } from '@chakra-ui/react';
import type { Op } from '../../../api/client';
import type { Tag } from '../../../document/document.gen';
import type { Kept } from '../../../document/parts';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';

/** Between what a number is as it should be: whatever shows it marks it outside of that. */
export function LimitsPart({ tag: t, path }: { tag: Kept<Tag>; path: string }) {
  const { edit } = useRights();
  const limit = (end: 'low' | 'high', typed: string) => {
    const value = typed === '' ? undefined : Number(typed.replace(',', '.'));
    if (value !== undefined && !Number.isFinite(value)) return;
    const next: NonNullable<Tag['alarm']> = { ...t.alarm, [end]: value };
    if (value === undefined) delete next[end];
    if (next.low !== undefined && next.high !== undefined && next.low >= next.high) return;
    const at = `${path}/alarm`;
    const op: Op =
      Object.keys(next).length === 0
        ? { op: 'remove', path: at }
        : { op: t.alarm ? 'replace' : 'add', path: at, value: next };
    if (op.op !== 'remove' || t.alarm) void edit([op]);
  };
  return (
    <Box color="muted" whiteSpace="nowrap">
      normally{' '}
      <Typed
        label={`Low limit of ${t.alias}`}
        hint="any"
        width="54px"
        value={t.alarm?.low?.toString() ?? ''}
        onSave={(v) => limit('low', v)}
      />{' '}
      to{' '}
      <Typed
        label={`High limit of ${t.alias}`}
        hint="any"
        width="54px"
        value={t.alarm?.high?.toString() ?? ''}
        onSave={(v) => limit('high', v)}
      />
    </Box>
  );
}

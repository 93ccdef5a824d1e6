import { Box } from '@chakra-ui/react';
import type { Op } from '../../../api/client';
import type { Tag } from '../../../document/document.gen';
import { entityOf, type Kept } from '../../../document/parts';
import { fieldsOf } from '../../../document/tables';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';

interface WatchdogProps {
  tag: Kept<Tag>;
  path: string;
  table: string | undefined;
}

/** How the plant itself ends what a button holds on: without that it cannot be held. */
export function WatchdogPart({ tag: t, path, table }: WatchdogProps) {
  const { entities, edit } = useRights();
  const fields = fieldsOf(entityOf(entities, table, 'table'));
  const dog = t.watchdog;
  const keep = (next: Tag['watchdog']) => {
    const at = `${path}/watchdog`;
    const op: Op = next ? { op: dog ? 'replace' : 'add', path: at, value: next } : { op: 'remove', path: at };
    if (next || dog) void edit([op]);
  };
  const within = (typed: string) => {
    const seconds = Number(typed.replace(',', '.'));
    if (typed === '') keep(undefined);
    else if (seconds > 0 && seconds <= 10) keep({ ...dog, within: seconds });
  };
  // Fields are named by what people know them by, and kept by what no rename changes.
  const shown = fields.reduce((node, f) => node.replaceAll(`{${f.id}}`, `{${f.alias}}`), dog?.beat ?? '');
  const beat = (typed: string) => {
    const node = fields.reduce((all, f) => all.replaceAll(`{${f.alias}}`, `{${f.id}}`), typed.trim());
    if (dog) keep({ within: dog.within, ...(node ? { beat: node } : {}) });
  };
  return (
    <Box whiteSpace="normal" color="muted">
      off by itself after{' '}
      <Typed
        label={`Seconds after which ${t.alias} is off by itself`}
        hint="never"
        width="62px"
        value={dog?.within.toString() ?? ''}
        onSave={within}
      />{' '}
      s
      {dog && (
        <>
          {' '}
          without{' '}
          <Typed
            label={`What is counted up while ${t.alias} is held`}
            hint="being written"
            width="190px"
            value={shown}
            onSave={beat}
          />
        </>
      )}
    </Box>
  );
}

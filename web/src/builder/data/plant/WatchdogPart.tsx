import { Box } from '@chakra-ui/react';
import type { Op } from '../../../api/client';
import type { Document, Tag } from '../../../document/document.gen';
import { entitiesOf, entityOf, inOrder, type Kept } from '../../../document/parts';
import { Select } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';

interface WatchdogProps {
  tag: Kept<Tag>;
  path: string; // of the tag
}

/** How the plant itself ends what a button holds on: without that it cannot be held. */
export function WatchdogPart({ tag: t, path }: WatchdogProps) {
  const { entities, edit } = useRights();
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
  // What can be counted up are numbers of the same kind that can be written.
  const beats = besides(entities, path).filter((o) => o.writable && o.type !== 'yesno' && o.type !== 'text');
  const beat = (node: string) => {
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
          <Select
            aria-label={`What is counted up while ${t.alias} is held`}
            value={dog.beat ?? ''}
            onChange={(e) => beat(e.target.value)}
          >
            <option value="">being written</option>
            {dog.beat && !beats.some((o) => o.node === dog.beat) && (
              <option value={dog.beat}>a value that is gone</option>
            )}
            {beats.map((o) => (
              <option key={o.id} value={o.node}>
                {o.label} counted up
              </option>
            ))}
          </Select>
        </>
      )}
    </Box>
  );
}

/** The values that stand beside a tag: those of the same part of an equipment, or those of no record. */
function besides(d: Document, path: string): Kept<Tag>[] {
  const [, of = '', , part = ''] = path.split('/');
  const equipment = entityOf(d, of, 'equipment');
  if (equipment) return inOrder(equipment.parts?.[part]?.tags);
  return entitiesOf(d, 'tag');
}

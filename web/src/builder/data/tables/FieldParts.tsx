import { Box, Flex } from '@chakra-ui/react';
import type { Part } from '../../../document/edit';
import { put } from '../../../document/edit';
import type { FieldDoc } from '../../../document/tables';
import { Select } from '../../../ui/controls';
import { Typed } from '../../../ui/Typed';
import { useRights } from '../context';
import { choicesOf } from './fieldWords';

type Member = 'type' | 'long' | 'choices' | 'graded' | 'unit' | 'min' | 'max' | 'longest' | 'secret' | 'back';

/** What a field is, part by part: each change is one edit. What the database holds is not changed by it. */
export function FieldParts({ table, field: f, isKey }: { table: string; field: FieldDoc; isKey: boolean }) {
  const { entities, edit } = useRights();
  const set = (member: Member, value: Part | undefined) =>
    void edit(put(entities, [table, 'fields', f.id, member], value));
  const number = (member: 'min' | 'max' | 'longest', typed: string) => {
    const value = typed === '' ? undefined : Number(typed);
    if (value === undefined || Number.isFinite(value)) set(member, value);
  };
  const numeric = ['whole', 'decimal', 'number'].includes(f.type);
  return (
    <Flex
      gap="6px 18px"
      wrap="wrap"
      align="center"
      py="6px"
      pl="12px"
      borderLeftWidth="3px"
      borderColor="amber"
      my="4px"
    >
      {f.references !== undefined && (
        <Labelled words="Seen from the other side, they are its">
          <Typed
            label={`What records are called from the other side of ${f.label}`}
            hint="open defects"
            width="190px"
            value={f.back ?? ''}
            onSave={(v) => set('back', v || undefined)}
          />
        </Labelled>
      )}
      {f.type === 'text' && !isKey && (
        <Labelled words="It is">
          <Select
            aria-label={`Kind of ${f.label}`}
            value={f.choices ? 'choices' : f.long ? 'long' : 'short'}
            onChange={(e) => void edit(kindPatch(e.target.value))}
          >
            <option value="short">a text of one line</option>
            <option value="long">a text of several lines</option>
            <option value="choices">one of some choices</option>
          </Select>
        </Labelled>
      )}
      {f.choices && (
        <>
          <Labelled words="Choices, the least first">
            <Typed
              label={`Choices of ${f.label}`}
              width="320px"
              value={f.choices.join(', ')}
              onSave={(v) => choicesOf(v) && set('choices', choicesOf(v))}
            />
          </Labelled>
          <Ticked words="they are grades" on={f.graded} onTick={(on) => set('graded', on || undefined)} />
        </>
      )}
      {numeric && !isKey && (
        <>
          <Labelled words="Unit">
            <Typed
              label={`Unit of ${f.label}`}
              hint="none"
              width="80px"
              value={f.unit ?? ''}
              onSave={(v) => set('unit', v || undefined)}
            />
          </Labelled>
          <Labelled words="from">
            <Typed
              label={`Least of ${f.label}`}
              hint="any"
              width="80px"
              value={f.min?.toString() ?? ''}
              onSave={(v) => number('min', v)}
            />
          </Labelled>
          <Labelled words="to">
            <Typed
              label={`Most of ${f.label}`}
              hint="any"
              width="80px"
              value={f.max?.toString() ?? ''}
              onSave={(v) => number('max', v)}
            />
          </Labelled>
        </>
      )}
      {f.type === 'text' && !f.choices && (
        <>
          <Labelled words="characters at most">
            <Typed
              label={`Characters of ${f.label}`}
              hint="any"
              width="80px"
              value={f.longest?.toString() ?? ''}
              onSave={(v) => number('longest', v)}
            />
          </Labelled>
          <Ticked words="secret: not kept in drafts" on={f.secret} onTick={(on) => set('secret', on || undefined)} />
        </>
      )}
      {['date', 'moment', 'yesno', 'picture', 'json'].includes(f.type) && (
        <Box color="muted">What it is comes from the database: {f.column}.</Box>
      )}
    </Flex>
  );

  function kindPatch(kind: string) {
    const at = (member: Member) => [table, 'fields', f.id, member];
    return [
      ...put(entities, at('long'), kind === 'long' || undefined),
      ...put(entities, at('choices'), kind === 'choices' ? (f.choices ?? ['first', 'second']) : undefined),
      ...(kind === 'choices' ? [] : put(entities, at('graded'), undefined)),
    ];
  }
}

function Labelled({ words, children }: { words: string; children: React.ReactNode }) {
  return (
    <Flex align="center" gap="6px">
      <span>{words}</span>
      {children}
    </Flex>
  );
}

function Ticked({ words, on, onTick }: { words: string; on: boolean | undefined; onTick: (on: boolean) => void }) {
  return (
    <Flex as="label" align="center" gap="6px">
      <input type="checkbox" checked={on ?? false} onChange={(e) => onTick(e.target.checked)} />
      {words}
    </Flex>
  );
}

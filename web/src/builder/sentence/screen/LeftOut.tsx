import { Flex } from '@chakra-ui/react';
import { put } from '../../../document/edit';
import { entityOf, idsIn } from '../../../document/parts';
import { elementsOf, type InputDoc, type ScreenDoc } from '../../../document/screens';
import { reachedOf } from '../../../document/tables';
import { Action, Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import { builtOf } from '../../elements/all';

/** Which elements an input does not narrow, though they have its field: all are, as long as nothing is said. */
export function LeftOut({ screen, input }: { screen: ScreenDoc; input: InputDoc }) {
  const { entities, edit } = useBuild();
  const path = [screen.id, 'inputs', input.id, 'except'];
  const [, field = input.filter] = (input.filter ?? '').split(':');
  const narrowed = elementsOf(entities, screen.id).flatMap((e) => {
    const table = 'table' in e ? e.table : undefined;
    const has = table && reachedOf(entities, table).some((f) => f.path === field || f.field.references === input.table);
    if (!table || !has) return [];
    return [
      { id: e.id, words: builtOf(e).words?.(e, entities) || entityOf(entities, table, 'table')?.label || e.kind },
    ];
  });
  const out = idsIn(input.except);
  const rest = narrowed.filter((e) => !out.includes(e.id));
  if (narrowed.length < 2 && out.length === 0) return null;
  return (
    <>
      {narrowed
        .filter((e) => out.includes(e.id))
        .map((e) => (
          <Flex key={e.id} align="center" bg="faint" borderRadius="14px" pl="10px" fontSize="note">
            not “{e.words}”
            <Action
              tone="quiet"
              minH="24px"
              px="6px"
              aria-label={`${input.label} narrows “${e.words}” again`}
              onClick={() => void edit(put(entities, [...path, e.id], undefined))}
            >
              ✕
            </Action>
          </Flex>
        ))}
      {rest.length > 0 && (
        <Select
          aria-label={`What ${input.label} leaves whole`}
          maxW="140px"
          value=""
          onChange={(e) => e.target.value && void edit(put(entities, [...path, e.target.value], true))}
        >
          <option value="">but not …</option>
          {rest.map((e) => (
            <option key={e.id} value={e.id}>
              {e.words}
            </option>
          ))}
        </Select>
      )}
    </>
  );
}

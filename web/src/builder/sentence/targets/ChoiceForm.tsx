import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Target } from '../../../document/document.gen';
import { entityOf } from '../../../document/parts';
import { recordTable, screenOf, screensOf } from '../../../document/screens';
import { fieldsOf } from '../../../document/tables';
import { Action, Select } from '../../../ui/controls';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import type { ChipProps } from '../chips/chip';
import { moveTo } from '../proposals';
import { putMove } from '../wiring';

/** A target that is worked out: a screen for each choice of a field, and one for any other. */
export function ChoiceForm({ chunk, wayRef, onClose }: ChipProps) {
  const { edit, entities, screen } = useBuild();
  const screens = screensOf(entities);
  const table = entityOf(entities, recordTable(screenOf(entities, screen)), 'table');
  const fields = fieldsOf(table).filter((f) => f.choices?.length);
  const [field, setField] = useState(fields[0]?.id ?? '');
  const chosen = fields.find((f) => f.id === field);
  const [targets, setTargets] = useState<Record<string, string>>({});
  const named = Object.values(targets).some(Boolean);
  const save = async () => {
    onClose();
    const among: Record<string, Target> = {};
    for (const [i, is] of [...(chosen?.choices ?? []), ''].entries()) {
      const target = screens.find((s) => s.id === targets[is]);
      if (!target) continue;
      const { bind } = await moveTo(wayRef, target);
      among[`q_${i + 1}`] = { pos: i + 1, ...(is ? { is } : {}), target: target.id, ...(bind ? { bind } : {}) };
    }
    void edit(putMove(wayRef, { kind: 'choice', by: `record.${field}`, among }, chunk.case));
  };
  return (
    <Pop label="One of several screens" onClose={onClose}>
      <Box
        as="form"
        p="12px"
        w="420px"
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          void save();
        }}
      >
        {fields.length === 0 ? (
          <Box color="muted">
            This screen has no record with a field of choices to decide by. Use cases instead: “or else”.
          </Box>
        ) : (
          <>
            <Flex align="center" gap="8px" mb="8px">
              by its
              <Select aria-label="Field" autoFocus value={field} onChange={(e) => setField(e.target.value)}>
                {fields.map((f) => (
                  <option key={f.id} value={f.id}>
                    {f.label.toLowerCase()}
                  </option>
                ))}
              </Select>
            </Flex>
            <Box maxH="260px" overflowY="auto">
              {[...(chosen?.choices ?? []), ''].map((is) => (
                <Flex key={is} as="label" align="center" gap="8px" py="3px">
                  <Box w="130px" truncate>
                    {is || 'any other'}
                  </Box>
                  <Select
                    aria-label={is || 'any other'}
                    value={targets[is] ?? ''}
                    onChange={(e) => setTargets({ ...targets, [is]: e.target.value })}
                  >
                    <option value="">–</option>
                    {screens.map((s) => (
                      <option key={s.id} value={s.id}>
                        {s.title}
                      </option>
                    ))}
                  </Select>
                </Flex>
              ))}
            </Box>
            <Action type="submit" tone="main" mt="10px" disabled={!named}>
              Lead there
            </Action>
          </>
        )}
      </Box>
    </Pop>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Action, Select } from '../../ui/controls';
import { buttonIcons } from '../../ui/Glyph';
import { ConditionEditor } from '../condition/ConditionEditor';
import { useBuild } from '../context';
import { number, text } from '../document';
import { at, type Json, newId, put } from '../edit';
import { Pop } from '../Pop';
import { ColourChip } from './ColourChip';
import { tones } from './LookTab';
import { Typed } from './Typed';

const states = ['hover', 'pressed', 'greyed', 'focus', 'unknown'];

/** How a button looks in one condition or state: the first face whose condition holds is shown. */
export function FacesChip({ path }: { path: string[] }) {
  const { entities, edit } = useBuild();
  const [open, setOpen] = useState(false);
  const [condition, setCondition] = useState<string>();
  const all = (at(entities, [...path, 'faces']) as Record<string, Json> | undefined) ?? {};
  const faces = Object.entries(all).sort(([, a], [, b]) => number(a, 'pos') - number(b, 'pos'));
  const set = (id: string, name: string, value: Json | undefined) =>
    void edit(put(entities, [...path, 'faces', id, name], value));
  const add = () => void edit(put(entities, [...path, 'faces', newId('q')], { pos: faces.length + 1, tone: 'warn' }));
  if (condition)
    return <FaceCondition path={[...path, 'faces', condition, 'when']} onClose={() => setCondition(undefined)} />;
  return (
    <Box position="relative">
      <Action aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(!open)}>
        {faces.length === 0 ? 'faces …' : `${faces.length} ${faces.length === 1 ? 'face' : 'faces'}`}
      </Action>
      {open && (
        <Pop label="Faces" onClose={() => setOpen(false)}>
          <Box p="12px" w="720px">
            <Box fontSize="note" color="muted" mb="8px">
              The first face whose condition holds is shown; one of a state changes how that looks there.
            </Box>
            {faces.map(([id, f]) => (
              <Flex key={id} gap="8px" py="4px" align="center" borderTopWidth="1px" borderColor="rule" wrap="wrap">
                <Select
                  aria-label="State"
                  value={text(f, 'state')}
                  onChange={(e) => set(id, 'state', e.target.value || undefined)}
                >
                  <option value="">normal</option>
                  {states.map((s) => (
                    <option key={s}>{s}</option>
                  ))}
                </Select>
                <Action onClick={() => setCondition(id)}>{text(f, 'when') ? 'while …' : 'always'}</Action>
                <Typed
                  label="Words"
                  width="120px"
                  value={text(f, 'words')}
                  hint="its own words"
                  onSave={(v) => set(id, 'words', v || undefined)}
                />
                <Select
                  aria-label="Looks"
                  value={text(f, 'tone')}
                  onChange={(e) => set(id, 'tone', e.target.value || undefined)}
                >
                  <option value="">as it is</option>
                  {tones.map((t) => (
                    <option key={t}>{t}</option>
                  ))}
                </Select>
                <Select
                  aria-label="Icon"
                  value={text(f, 'icon')}
                  onChange={(e) => set(id, 'icon', e.target.value || undefined)}
                >
                  <option value="">its icon</option>
                  {buttonIcons.map((i) => (
                    <option key={i}>{i}</option>
                  ))}
                </Select>
                <ColourChip path={[...path, 'faces', id, 'colour']} />
                <Action
                  tone="quiet"
                  aria-label="Remove this face"
                  onClick={() => void edit(put(entities, [...path, 'faces', id], undefined))}
                >
                  remove
                </Action>
              </Flex>
            ))}
            <Action mt="8px" autoFocus onClick={add}>
              + a face
            </Action>
          </Box>
        </Pop>
      )}
    </Box>
  );
}

function FaceCondition({ path, onClose }: { path: string[]; onClose: () => void }) {
  const { project, as, screen, chosen, entities, edit } = useBuild();
  return (
    <Pop label="While this face shows" onClose={onClose}>
      <ConditionEditor
        spot={{ project, as, screen, element: chosen }}
        stored={text(at(entities, path))}
        none="Always"
        share={undefined}
        onClose={onClose}
        onSave={(stored) => {
          onClose();
          void edit(put(entities, path, stored));
        }}
      />
    </Pop>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Face } from '../../../document/document.gen';
import { newId, put, text } from '../../../document/edit';
import { inOrder, type Kept } from '../../../document/parts';
import { Action, Select } from '../../../ui/controls';
import { buttonIcons } from '../../../ui/Glyph';
import { Typed } from '../../../ui/Typed';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';
import { ColourChip } from './ColourChip';
import { KeptChip } from './KeptChip';
import { tones } from './tones';

const states = ['hover', 'pressed', 'greyed', 'focus', 'unknown'];

interface FacesProps {
  path: string[]; // of the button
  faces: Record<string, Face> | undefined;
}

/** How a button looks in one condition or state: the first face whose condition holds is shown. */
export function FacesChip({ path, faces: kept }: FacesProps) {
  const { entities, edit } = useBuild();
  const [open, setOpen] = useState(false);
  const [condition, setCondition] = useState<string>();
  const faces = inOrder(kept);
  const fresh: Face = { pos: faces.length + 1, tone: 'warn' };
  const add = () => void edit(put(entities, [...path, 'faces', newId('q')], fresh));
  const begin = () => {
    if (!open && faces.length === 0) add(); // there is nothing else to be done in it
    setOpen(!open);
  };
  if (condition)
    return <FaceCondition path={[...path, 'faces', condition, 'when']} onClose={() => setCondition(undefined)} />;
  return (
    <Box position="relative">
      <Action aria-haspopup="dialog" aria-expanded={open} onClick={begin}>
        {faces.length === 0 ? 'faces …' : `${faces.length} ${faces.length === 1 ? 'face' : 'faces'}`}
      </Action>
      {open && (
        <Pop label="Faces" onClose={() => setOpen(false)}>
          <Box p="12px" w="720px">
            <Box fontSize="note" color="muted" mb="8px">
              The first face whose condition holds is shown. A face for a state changes the shown face in that state.
            </Box>
            {faces.map((f) => (
              <FaceLine key={f.id} path={[...path, 'faces', f.id]} face={f} onCondition={() => setCondition(f.id)} />
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

interface LineProps {
  path: string[];
  face: Kept<Face>;
  onCondition: () => void;
}

/** One face: in which state, while what, and how it looks then. */
function FaceLine({ path, face: f, onCondition }: LineProps) {
  const { entities, edit } = useBuild();
  const set = (name: keyof Face, value: string) => void edit(put(entities, [...path, name], value || undefined));
  return (
    <Flex gap="8px" py="4px" align="center" borderTopWidth="1px" borderColor="rule" wrap="wrap">
      <Select aria-label="State" value={f.state ?? ''} onChange={(e) => set('state', e.target.value)}>
        <option value="">normal</option>
        {states.map((s) => (
          <option key={s}>{s}</option>
        ))}
      </Select>
      <Action onClick={onCondition}>{f.when ? 'while …' : 'always'}</Action>
      <Typed label="Words" width="120px" value={f.words ?? ''} hint="its own words" onSave={(v) => set('words', v)} />
      <Select aria-label="Looks" value={f.tone ?? ''} onChange={(e) => set('tone', e.target.value)}>
        <option value="">as it is</option>
        {tones.map((t) => (
          <option key={t}>{t}</option>
        ))}
      </Select>
      <Select aria-label="Icon" value={f.icon ?? ''} onChange={(e) => set('icon', e.target.value)}>
        <option value="">its icon</option>
        {buttonIcons.map((i) => (
          <option key={i}>{i}</option>
        ))}
      </Select>
      <ColourChip path={[...path, 'colour']} />
      <KeptChip path={[...path, 'picture']} />
      <Action tone="quiet" aria-label="Remove this face" onClick={() => void edit(put(entities, path, undefined))}>
        remove
      </Action>
    </Flex>
  );
}

function FaceCondition({ path, onClose }: { path: string[]; onClose: () => void }) {
  const { project, as, screen, chosen, entities, edit } = useBuild();
  return (
    <Pop label="While this face shows" onClose={onClose}>
      <ConditionEditor
        spot={{ project, as, screen, element: chosen }}
        stored={text(entities, ...path)}
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

import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { put, text } from '../../../document/edit';
import { Action } from '../../../ui/controls';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { shareOf } from '../../condition/share';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';

/** While what holds an element is there at all. Where that is not known, it is not there. */
export function ShownChip({ path, element }: { path: string[]; element: string }) {
  const build = useBuild();
  const { entities, screen, edit, project, as } = build;
  const [open, setOpen] = useState(false);
  const stored = text(entities, ...path);
  const save = (condition: string | undefined) => {
    setOpen(false);
    void edit(put(entities, path, condition));
  };
  return (
    <Box>
      <Box color="muted" mb="3px">
        Shown
      </Box>
      <Action onClick={() => setOpen(!open)} aria-haspopup="dialog" aria-expanded={open} minH="34px">
        {stored ? 'only while …' : 'always'}
      </Action>
      {open && (
        <Pop label="Shown while" onClose={() => setOpen(false)}>
          <ConditionEditor
            spot={{ project, as, screen, element }}
            stored={stored}
            lead="shown while"
            none="Always"
            share={shareOf(build, element)}
            onClose={() => setOpen(false)}
            onSave={save}
          />
        </Pop>
      )}
    </Box>
  );
}

import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { put, text } from '../../../document/edit';
import { Action } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { readCondition, type Spot } from '../../condition/spot';
import { useBuild } from '../../context';
import { Pop } from '../../Pop';

interface ConditionPartProps {
  path: string[]; // of what it is a part of
  name: string;
  label: string;
  without?: string; // what is said where there is none
  limits?: boolean; // a number that has limits may stand there too
}

/** Reads a condition; or a number of the plant that has limits, as what stands for being outside of them. */
async function readHere(spot: Spot, text: string, limits: boolean | undefined) {
  const condition = await readCondition(spot, { text });
  if (!limits || !condition.problem || !/^[a-z_.0-9]+$/i.test(text)) return condition;
  const number = await readCondition(spot, { text, value: true });
  return number.problem ? condition : { ...number, phrase: `${number.phrase} is outside its limits` };
}

/** A part of an element that is a condition: told as a phrase, changed by rows or as text. */
export function ConditionPart({ path, name, label, without = 'nothing yet', limits }: ConditionPartProps) {
  const { project, as, screen, entities, edit } = useBuild();
  const [open, setOpen] = useState(false);
  const element = path[2];
  const spot: Spot = { project, as, screen, element };
  const stored = text(entities, ...path, name);
  const read = useQuery({
    queryKey: ['phrase', project, screen, element, stored],
    queryFn: () => readHere(spot, stored, limits),
    enabled: stored !== '',
  });
  const words = read.data ? (read.data.problem?.message ?? read.data.phrase) : stored ? '…' : without;
  return (
    <Labelled label={label}>
      <Action
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={`${label}: ${words}`}
        onClick={() => setOpen(!open)}
      >
        <Box truncate maxW="260px">
          {words}
        </Box>
      </Action>
      {open && (
        <Pop label={label} onClose={() => setOpen(false)}>
          <ConditionEditor
            spot={spot}
            stored={stored}
            lead={label.toLowerCase()}
            share={undefined}
            onClose={() => setOpen(false)}
            onSave={(condition) => {
              setOpen(false);
              if (condition) void edit(put(entities, [...path, name], condition));
            }}
          />
        </Pop>
      )}
    </Labelled>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import type { Cell } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { ownedOf } from '../../../document/owner';
import { Action } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { useBuild } from '../../context';
import { builtOf, look } from '../../elements/all';
import { WayLook } from '../ways/WayLook';
import { ShownChip } from './ShownChip';
import { WhereChips } from './WhereChips';

/** How an element looks and where it stands. */
export function LookTab({ element }: { element: string }) {
  const { entities, screen, edit, choose } = useBuild();
  const owned = ownedOf(entities, screen, element);
  if (owned?.way) return <WayLook path={owned.path} way={owned.way} />;
  if (!owned?.element) return null;
  const { path, element: body } = owned;
  const set = (name: keyof Cell) => (value: number) => void edit(put(entities, [...path, 'cell', name], value));
  return (
    <Flex gap="14px" align="flex-end" wrap="wrap" fontSize="note">
      {look(path, body)}
      <ShownChip path={[...path, 'shown']} element={element} />
      <WhereChips path={path} element={body} />
      <Stepper label="Row" value={body.cell.row} most={99} onSet={set('row')} />
      <Stepper label="Column" value={body.cell.col} most={12} onSet={set('col')} />
      <Stepper label="Width" value={body.cell.w} most={12} onSet={set('w')} />
      {builtOf(body).tall && <Stepper label="Height" value={body.cell.h ?? 1} most={40} onSet={set('h')} />}
      <Action
        tone="bad"
        aria-label={`Remove this ${body.kind}`}
        onClick={() => {
          choose(undefined);
          void edit(put(entities, path, undefined));
        }}
      >
        Remove
      </Action>
    </Flex>
  );
}

interface StepperProps {
  label: string;
  value: number;
  most: number;
  onSet: (v: number) => void;
}

/** A number from 1 on that is stepped up and down. */
function Stepper({ label, value, most, onSet }: StepperProps) {
  return (
    <Labelled label={label}>
      <Flex align="center">
        <Action tone="quiet" aria-label={`${label} less`} disabled={value <= 1} onClick={() => onSet(value - 1)}>
          −
        </Action>
        <Box minW="20px" textAlign="center" fontWeight="700">
          {value}
        </Box>
        <Action tone="quiet" aria-label={`${label} more`} disabled={value >= most} onClick={() => onSet(value + 1)}>
          +
        </Action>
      </Flex>
    </Labelled>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { Action, Select } from '../../ui/controls';
import { buttonIcons } from '../../ui/Glyph';
import { useBuild } from '../context';
import { number, text } from '../document';
import { at, put } from '../edit';
import { pathOf } from '../owner';
import { ColourChip } from './ColourChip';
import { FacesChip } from './FacesChip';
import { Labelled } from './Labelled';
import { PictureChip } from './PictureChip';
import { ShownChip } from './ShownChip';
import { Typed } from './Typed';
import { WayLook } from './WayLook';
import { WordsField } from './WordsField';

export const tones = ['plain', 'main', 'strong', 'sign', 'quiet', 'good', 'warn', 'stop'];

/** How an element looks and where it stands. */
export function LookTab({ element }: { element: string }) {
  const { entities, screen, edit, choose } = useBuild();
  const path = pathOf(entities, screen, element);
  if (!path) return null;
  const body = at(entities, path);
  if (path[1] === 'ways') return <WayLook path={path} />;
  const kind = text(body, 'kind');
  const set = (name: string, value: string) => void edit(put(entities, [...path, name], value || undefined));
  const cell = (name: string, value: number) => void edit(put(entities, [...path, 'cell', name], value));
  return (
    <Flex gap="14px" align="flex-end" wrap="wrap" fontSize="note">
      {(kind === 'button' || kind === 'text') && <WordsField path={path} name="words" label="Words" />}
      {kind === 'button' && (
        <>
          <Labelled label="Looks">
            <Select
              aria-label="Looks"
              value={text(body, 'tone') || 'plain'}
              onChange={(e) => void edit(put(entities, [...path, 'tone'], e.target.value))}
            >
              {tones.map((t) => (
                <option key={t}>{t}</option>
              ))}
            </Select>
          </Labelled>
          <Labelled label="Icon">
            <Select
              aria-label="Icon"
              value={text(body, 'icon')}
              onChange={(e) => void edit(put(entities, [...path, 'icon'], e.target.value || undefined))}
            >
              <option value="">none</option>
              {buttonIcons.map((i) => (
                <option key={i}>{i}</option>
              ))}
            </Select>
          </Labelled>
          <Labelled label="Shortcut">
            <Typed label="Shortcut" value={text(body, 'keys')} hint="Alt+E" onSave={(v) => set('keys', v)} />
          </Labelled>
          <WordsField path={path} name="tip" label="Said when pointed at" />
          <PictureChip path={[...path, 'picture']} />
          <ColourChip path={[...path, 'colour']} />
          <FacesChip path={path} />
          {text(body, 'tone') === 'sign' && <WordsField path={path} name="note" label="Line below" />}
        </>
      )}
      {kind === 'image' && <PictureChip path={[...path, 'picture']} />}
      <ShownChip element={element} />
      <Stepper label="Row" value={number(body, 'cell', 'row')} min={1} max={99} onSet={(v) => cell('row', v)} />
      <Stepper label="Column" value={number(body, 'cell', 'col')} min={1} max={12} onSet={(v) => cell('col', v)} />
      <Stepper label="Width" value={number(body, 'cell', 'w')} min={1} max={12} onSet={(v) => cell('w', v)} />
      <Action
        tone="bad"
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

function Stepper({
  label,
  value,
  min,
  max,
  onSet,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  onSet: (v: number) => void;
}) {
  return (
    <Labelled label={label}>
      <Flex align="center">
        <Action tone="quiet" aria-label={`${label} less`} disabled={value <= min} onClick={() => onSet(value - 1)}>
          −
        </Action>
        <Box minW="20px" textAlign="center" fontWeight="700">
          {value}
        </Box>
        <Action tone="quiet" aria-label={`${label} more`} disabled={value >= max} onClick={() => onSet(value + 1)}>
          +
        </Action>
      </Flex>
    </Labelled>
  );
}

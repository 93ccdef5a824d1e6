import { Box } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { flushSync } from 'react-dom';
import type { Chunk, WayOut } from '../../api/client';
import { useBuild } from '../context';
import { ChipPicker } from './chips/ChipPicker';
import type { WayPart } from './chips/chip';

const tones: Record<string, string> = { target: 'pine', record: 'plum' };

interface ChipProps {
  part: WayPart;
  chunk: Chunk;
  way: WayOut;
  id: string; // of its picker
}

/** A part of a sentence that can be changed: pressed, or typed on, it opens its picker. */
export function Chip({ part, chunk, way, id }: ChipProps) {
  const { openPicker, setPicker, choose } = useBuild();
  const open = openPicker === id;
  // What happens when a dialog comes back is a way of its own: one goes there.
  const leads = part === 'back';
  const go = () => choose(way.element, `${way.trigger}/${chunk.case ?? ''}`);
  const button = useRef<HTMLButtonElement>(null);
  const wasOpen = useRef(open);
  useEffect(() => {
    // Who closed its picker goes on from the chip.
    if (wasOpen.current && !open && document.activeElement === document.body) button.current?.focus();
    wasOpen.current = open;
  }, [open]);
  const onKey = (e: React.KeyboardEvent<HTMLElement>) => {
    const letter = e.key.length === 1 && e.key !== ' ' && !e.ctrlKey && !e.metaKey && !e.altKey;
    if (!letter || leads || open || e.target !== e.currentTarget) return alongChips(e);
    flushSync(() => setPicker(id)); // its search field has the focus by now, and gets the letter
  };
  const color = chunk.bad ? 'brick' : chunk.tone ? tones[chunk.tone] : 'ink';
  return (
    <Box as="span" position="relative" display="inline-block">
      <Box
        as="button"
        ref={button}
        data-chip
        {...(leads ? {} : { 'aria-haspopup': 'dialog', 'aria-expanded': open })}
        {...(part === 'target' && {
          'data-pull': way.element,
          'data-pull-trigger': way.trigger,
          'data-pull-of': chunk.case,
        })}
        onClick={leads ? go : () => setPicker(open ? undefined : id)}
        onKeyDown={onKey}
        color={color}
        fontWeight="700"
        px="2px"
        borderBottomWidth="2px"
        borderBottomStyle={chunk.bad ? 'dashed' : 'solid'}
        borderColor={chunk.bad ? 'brick' : open ? 'amber' : 'rule'}
        bg={open ? 'amberSoft' : undefined}
        cursor="pointer"
        textAlign="left"
        lineHeight="1.35"
        _hover={{ borderColor: 'amber' }}
      >
        {chunk.text}
      </Box>
      {open && <ChipPicker part={part} chunk={chunk} way={way} onClose={() => setPicker(undefined)} />}
    </Box>
  );
}

/** Arrows go from chip to chip, as Tab does. */
function alongChips(e: React.KeyboardEvent<HTMLElement>) {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[e.key];
  if (!by || e.target !== e.currentTarget) return;
  const all = [...document.querySelectorAll<HTMLElement>('[data-chip]')];
  all[all.indexOf(e.currentTarget) + by]?.focus();
  e.preventDefault();
}

import type { Chunk, WayOut } from '../../../api/client';
import { useBuild, useCover } from '../../context';
import { refOf } from '../wiring';
import { chips } from './all';
import type { WayPart } from './chip';

interface PickerProps {
  part: WayPart;
  chunk: Omit<Chunk, 'part'>;
  way: WayOut;
  onClose: () => void;
}

/** What a chip can be changed to, by its part of the sentence. */
export function ChipPicker({ part, chunk, way, onClose }: PickerProps) {
  const build = useBuild();
  useCover();
  const Picker = chips[part];
  return <Picker part={part} chunk={chunk} way={way} wayRef={refOf(build, way)} onClose={onClose} />;
}

import { Box } from '@chakra-ui/react';
import { type ReactNode, useState } from 'react';
import type { Cell } from '../../document/document.gen';
import { put } from '../../document/edit';
import { elementsOf, screenOf } from '../../document/screens';
import type { Edges } from '../../ui/beside';
import { useBuild } from '../context';
import { type Moved, MovedToo } from './MovedToo';
import { useArrangeKeys } from './useArrangeKeys';
import { useChoosingFrame } from './useChoosingFrame';
import { useDrag } from './useDrag';
import { useDragMark } from './useDragMark';

/** Elements of the stage are put elsewhere: dragged, or by keys. Where one would go is seen before. */
export function Arranging() {
  const { entities, screen, edit, choose, chooseAll } = useBuild();
  const elements = elementsOf(entities, screen);
  const tall = screenOf(entities, screen)?.type === 'operator';
  const [moved, setMoved] = useState<Moved>();
  const place = (changed: Map<string, Cell>) =>
    edit([...changed].flatMap(([id, cell]) => put(entities, [screen, 'elements', id, 'cell'], cell)));
  // What stands in the same place on other screens may follow; a step after another is one from where it began.
  const told = (changed: Map<string, Cell>, id: string) => {
    const one = elements.find((e) => e.id === id);
    if (!one || !changed.has(id)) return place(changed);
    const was = moved?.id === id && moved.screen === screen ? moved.was : one.cell;
    setMoved({ screen, id, was });
    return place(changed);
  };
  const drag = useDrag(elements, tall, (changed, id) => {
    choose(id);
    void told(changed, id);
  });
  const mark = useDragMark(({ element, mark: id, x, y }) => {
    const at = [screen, 'elements', element, 'marks', id];
    choose(element);
    void edit([...put(entities, [...at, 'x'], x), ...put(entities, [...at, 'y'], y)]);
  });
  useArrangeKeys(told);
  const frame = useChoosingFrame(chooseAll);
  if (frame) return <Frame at={frame} />;
  if (mark)
    return (
      <Frame at={mark.at}>
        <Told>
          {mark.x} % from the left, {mark.y} % from above
        </Told>
      </Frame>
    );
  if (!drag) return moved?.screen === screen ? <MovedToo moved={moved} onDone={() => setMoved(undefined)} /> : null;
  const others = drag.changed.size - (drag.changed.has(drag.id) ? 1 : 0);
  const { row, col, w } = drag.goal.cell;
  return (
    <Frame at={drag.at}>
      <Told>
        row {row}, column {col}, {w} wide
        {others > 0 && `; ${others} ${others === 1 ? 'goes' : 'go'} down`}
      </Told>
    </Frame>
  );
}

/** Where it would go, in words. */
function Told({ children }: { children: ReactNode }) {
  return (
    <Box
      position="absolute"
      bottom="100%"
      left="0"
      mb="3px"
      px="7px"
      bg="amberSoft"
      color="amberText"
      fontSize="note"
      fontWeight="700"
      borderRadius="3px"
      whiteSpace="nowrap"
      role="status"
    >
      {children}
    </Box>
  );
}

/** A frame over the stage: where something would go, or what would be chosen. */
function Frame({ at: { left, right, top, bottom }, children }: { at: Edges; children?: ReactNode }) {
  return (
    <Box
      position="fixed"
      zIndex="popover"
      pointerEvents="none"
      borderWidth="2px"
      borderStyle="dashed"
      borderColor="amber"
      borderRadius="4px"
      bg="amber/15"
      style={{ left, top, width: right - left, height: Math.max(4, bottom - top) }}
    >
      {children}
    </Box>
  );
}

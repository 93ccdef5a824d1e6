import { Box, Flex } from '@chakra-ui/react';
import type { ElementView, ListView } from '../../api/client';
import { Action } from '../../ui/controls';
import { useBusy, useScreen } from '../context';

interface SeveralBarProps {
  element: ElementView;
  list: ListView;
  ticked: Set<string>;
  onDone: () => void;
}

/** What can be done with the rows that are chosen: with all of them, or with none. */
export function SeveralBar({ element, list, ticked, onDone }: SeveralBarProps) {
  const { onPress } = useScreen();
  const busy = useBusy();
  return (
    <Flex
      role="toolbar"
      aria-label="Chosen rows"
      align="center"
      gap="10px"
      wrap="wrap"
      bg="plumSoft"
      px="10px"
      py="6px"
      mb="6px"
      borderRadius="4px"
    >
      <Box fontWeight="700" color="plum">
        {ticked.size} chosen
      </Box>
      {list.several?.map((s) => (
        <Action
          key={s.id}
          title={s.reason}
          disabled={s.state !== 'shown' || busy === element.id}
          onClick={() =>
            void onPress(element, { trigger: `several.${s.id}`, rows: [...ticked] }).then((p) => p.done && onDone())
          }
        >
          {s.words}
        </Action>
      ))}
      <Action tone="quiet" onClick={onDone}>
        choose none
      </Action>
    </Flex>
  );
}

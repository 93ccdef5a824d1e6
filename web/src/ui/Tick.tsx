import { Flex } from '@chakra-ui/react';

/** A box that is ticked or not, with its words. */
export function Tick({ words, on, onTick }: { words: string; on: boolean; onTick: () => void }) {
  return (
    <Flex as="label" gap="5px" align="center" minH="26px" cursor="pointer">
      <input type="checkbox" checked={on} onChange={onTick} />
      {words}
    </Flex>
  );
}

import { Box, Flex } from '@chakra-ui/react';

interface TabRowProps<T extends string> {
  tabs: readonly T[];
  at: T;
  onTab: (tab: T) => void;
}

/** The tabs of a part of the builder. */
export function TabRow<T extends string>({ tabs, at, onTab }: TabRowProps<T>) {
  return (
    <Flex role="tablist" gap="14px">
      {tabs.map((t) => (
        <Box
          as="button"
          role="tab"
          key={t}
          aria-selected={t === at}
          onClick={() => onTab(t)}
          fontSize="note"
          fontWeight="700"
          color={t === at ? 'ink' : 'muted'}
          borderBottomWidth="2px"
          borderColor={t === at ? 'amber' : 'transparent'}
          pb="2px"
          cursor="pointer"
        >
          {t}
        </Box>
      ))}
    </Flex>
  );
}

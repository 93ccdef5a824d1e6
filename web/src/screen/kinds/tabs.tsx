import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { useSteady } from '../../ui/useSteady';
import { useScreen } from '../context';
import type { ElementKind, OfKind } from './kind';

/** A block of tabs: arrows go from one to the next, and what belongs to the open one stands below. */
export const tabs: ElementKind<'tabs'> = { Draw: Tabs };

function Tabs({ element }: { element: OfKind<'tabs'> }) {
  const { tabs } = element;
  const { view, onArrange, onPress } = useScreen();
  const line = useRef<HTMLDivElement>(null);
  const at = tabs.tabs.findIndex((t) => t.id === tabs.open);
  const open = (tab: string) => {
    if (tab === tabs.open) return;
    opened.current = tabs.tabs.find((t) => t.id === tab)?.way ? tab : undefined;
    onArrange({
      filters: view.place.filters ?? [],
      sort: view.place.sort ?? [],
      find: view.find,
      tabs: { ...view.place.tabs, [element.id]: tab },
    });
  };
  // What is wired to a tab is set off once it is open: its place is there by then.
  const opened = useRef<string>(undefined);
  const press = useSteady(onPress);
  useEffect(() => {
    if (opened.current !== tabs.open) return;
    opened.current = undefined;
    void press(element, { trigger: `tab.${tabs.open}` });
  }, [tabs.open, element, press]);
  const onKeyDown = (e: React.KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[e.key];
    if (!step || e.altKey) return;
    e.preventDefault();
    const to = (at + step + tabs.tabs.length) % tabs.tabs.length;
    line.current?.querySelectorAll<HTMLElement>('[role=tab]')[to]?.focus();
    const tab = tabs.tabs[to];
    if (tab) open(tab.id);
  };
  return (
    <Flex ref={line} role="tablist" gap="4px" borderBottomWidth="1.5px" borderColor="ink" onKeyDown={onKeyDown}>
      {tabs.tabs.map((t) => (
        <Box
          as="button"
          key={t.id}
          role="tab"
          aria-selected={t.id === tabs.open}
          tabIndex={t.id === tabs.open ? 0 : -1}
          px="14px"
          minH="36px"
          fontWeight="700"
          cursor="pointer"
          color={t.id === tabs.open ? 'white' : 'ink'}
          bg={t.id === tabs.open ? 'rail' : undefined}
          _hover={t.id === tabs.open ? undefined : { bg: 'faint' }}
          borderTopRadius="4px"
          onClick={() => open(t.id)}
        >
          {t.label}
        </Box>
      ))}
    </Flex>
  );
}

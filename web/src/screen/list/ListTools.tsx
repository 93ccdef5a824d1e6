import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import type { ElementView, ListView } from '../../api/client';
import { Action, Line } from '../../ui/controls';
import { later } from '../../ui/later';
import { useScreen } from '../context';

const SavedViews = later(async () => (await import('./SavedViews')).SavedViews);

const pause = 350; // ms after typing stops

/** Above a list: find in it, views that one keeps, and the list as a file. */
export function ListTools({ element, list }: { element: ElementView; list: ListView }) {
  const { work } = useScreen();
  return (
    <Flex align="center" gap="10px" mb="6px" wrap="wrap">
      <FindLine />
      <Box flex="1" />
      {work && <SavedViews element={element} list={list} />}
      {work?.csv && (
        <Action asChild tone="quiet">
          <a
            href={work.csv(element.id)}
            download
            onClick={(e) => {
              e.preventDefault(); // so that a no is told here, and is not saved in its stead
              void work.saveList(element.id);
            }}
          >
            as CSV file
          </a>
        </Action>
      )}
    </Flex>
  );
}

/** Finds rows that contain each of some words in one of the columns shown. */
function FindLine() {
  const { view, onArrange } = useScreen();
  const now = view.find ?? '';
  const [typed, setTyped] = useState(now);
  const sent = useRef(now);
  useEffect(() => {
    if (now === sent.current) return;
    sent.current = now; // it changed by itself: one went back, or chose a view
    setTyped(now);
  }, [now]);
  const find = (words: string) => {
    if (words === sent.current) return;
    sent.current = words;
    onArrange({ filters: view.place.filters ?? [], sort: view.place.sort ?? [], find: words });
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: each letter starts the pause anew
  useEffect(() => {
    const timer = setTimeout(() => find(typed.trim()), pause);
    return () => clearTimeout(timer);
  }, [typed]);
  return (
    <Box as="search" className="sheet-find">
      <Line
        type="search"
        aria-label="Find in this list"
        placeholder="Find in this list"
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Enter') find(typed.trim());
          if (e.key === 'Escape' && typed !== '') {
            e.stopPropagation();
            setTyped('');
            find('');
          }
        }}
      />
    </Box>
  );
}

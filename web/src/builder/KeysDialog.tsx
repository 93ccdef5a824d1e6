import { Box, Flex } from '@chakra-ui/react';
import { Key } from '../ui/controls';
import { Frame } from '../ui/Frame';

const keys: [head: string, keys: [string, string][]][] = [
  [
    'Everywhere',
    [
      ['Ctrl K', 'find a screen, an element, a table, a command'],
      ['Ctrl B', 'list of screens'],
      ['Alt ↑, ↓', 'move a screen in that list'],
      ['Ctrl Z', 'undo my last edit'],
      ['Ctrl Shift Z', 'redo'],
      ['?', 'these keys'],
    ],
  ],
  [
    'On the screen',
    [
      ['Tab', 'next element, next chip'],
      ['Enter', 'choose it; once more: try it'],
      ['Arrows', 'move the chosen element by a cell'],
      ['Shift Arrows', 'make it wider, narrower, taller, lower'],
      ['Delete', 'take it out'],
      ['Ctrl C, X, V', 'copy, cut, put in: on other screens and applications too'],
      ['Ctrl D', 'double it'],
      ['Escape', 'choose nothing; leave a drag as it was'],
    ],
  ],
];

/** The keys of the builder. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Frame title="Keys" told width="560px" onClose={onClose}>
      {keys.map(([head, lines]) => (
        <Box as="section" key={head} mb="14px">
          <Box as="h2" fontWeight="800" mb="4px">
            {head}
          </Box>
          {lines.map(([key, does]) => (
            <Flex key={key} gap="12px" py="3px" borderBottomWidth="1px" borderColor="rule">
              <Box w="150px" flexShrink={0}>
                <Key>{key}</Key>
              </Box>
              {does}
            </Flex>
          ))}
        </Box>
      ))}
    </Frame>
  );
}

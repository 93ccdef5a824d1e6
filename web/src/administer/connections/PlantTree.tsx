import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import type { PlantNode, PlantNodes } from '../../api/client';
import { Line } from '../../ui/controls';
import { Waiting } from '../../ui/Message';
import { wordsOf } from '../problems';
import { Told } from '../Told';
import { valueWords } from './valueWords';

/** Asks for what stands below a path, or is called by some words. */
export type AskNodes = (query: { below?: string; words?: string }) => Promise<PlantNodes>;

interface TreeProps {
  connection: string;
  ask: AskNodes;
  /** What can be done with a node, beside it. */
  action?: (node: PlantNode) => React.ReactNode;
}

/** What a plant has: folders that open as one looks into them, values as they are now, and a search over all. */
export function PlantTree({ connection, ask, action }: TreeProps) {
  const [words, setWords] = useState('');
  const wanted = useDeferredValue(words.trim());
  return (
    <Box>
      <Line
        type="search"
        aria-label="Look for a folder or a value"
        placeholder="Look for a folder or a value"
        value={words}
        onChange={(e) => setWords(e.target.value)}
        mb="8px"
      />
      {wanted.length > 1 ? (
        <Nodes connection={connection} ask={ask} words={wanted} action={action} />
      ) : (
        <Nodes connection={connection} ask={ask} below="" action={action} />
      )}
    </Box>
  );
}

function Nodes({ connection, ask, below, words, action }: TreeProps & { below?: string; words?: string }) {
  const nodes = useQuery({
    queryKey: ['plant-nodes', connection, below, words],
    queryFn: () => ask(words ? { words } : { below }),
    staleTime: 10_000,
    retry: false,
  });
  if (nodes.isPending) return <Waiting what={words ? 'Looking through the plant …' : 'Asking the plant …'} />;
  if (!nodes.data) return <Told words={wordsOf(nodes.error)} />;
  if (nodes.data.nodes.length === 0)
    return (
      <Box color="muted" fontSize="note" py="4px">
        {words ? 'Nothing in the plant is called that.' : 'There is nothing in it.'}
      </Box>
    );
  return (
    <Box as="ul" listStyleType="none">
      {nodes.data.nodes.map((n) => (
        <OneNode key={n.path} node={n} connection={connection} ask={ask} whole={words !== undefined} action={action} />
      ))}
      {nodes.data.more && (
        <Box as="li" color="muted" fontSize="note" py="4px">
          There is more than is shown: look for it by its name.
        </Box>
      )}
    </Box>
  );
}

function OneNode({ node, connection, ask, whole, action }: TreeProps & { node: PlantNode; whole: boolean }) {
  const [open, setOpen] = useState(false);
  const name = whole ? node.path.slice(1).replaceAll('/', ' › ') : node.name;
  return (
    <Box as="li">
      <Flex gap="8px" align="center" minH="32px" py="2px" borderBottomWidth="1px" borderColor="rule">
        {node.folder ? (
          <Box
            as="button"
            textAlign="left"
            fontWeight="700"
            cursor="pointer"
            minH="30px"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
          >
            <Box as="span" aria-hidden display="inline-block" w="18px" color="muted">
              {open ? '−' : '+'}
            </Box>
            {name}
          </Box>
        ) : (
          <Box pl="18px">{name}</Box>
        )}
        <Box flex="1" fontSize="note" color="muted" minW="0">
          {!node.folder && valueWords(node)}
        </Box>
        {action?.(node)}
      </Flex>
      {open && (
        <Box pl="18px">
          <Nodes connection={connection} ask={ask} below={node.path} action={action} />
        </Box>
      )}
    </Box>
  );
}

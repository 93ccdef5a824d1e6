import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { entitiesOf } from '../../../document/parts';
import { Action, Line, Select } from '../../../ui/controls';
import { useWhole } from '../context';

type Said = Record<string, unknown>;

interface PlantProps {
  plant: Said;
  onPlant: (plant: Said) => void;
}

/** What the plant says, value by value: by source and node. */
export function PlantSays({ plant, onPlant }: PlantProps) {
  const { draft } = useWhole();
  const sources = entitiesOf(draft.entities, 'source').filter((s) => s.type === 'plant');
  const [source, setSource] = useState(sources[0]?.id ?? '');
  const [node, setNode] = useState('');
  const put = (key: string, text: string | undefined) => {
    const next = { ...plant };
    if (text === undefined) delete next[key];
    else next[key] = read(text);
    onPlant(next);
  };
  if (sources.length === 0) return <Box fontSize="note">This application has no plant.</Box>;
  return (
    <Flex direction="column" gap="6px">
      {Object.entries(plant).map(([key, value]) => (
        <Flex key={key} gap="8px" align="center">
          <Box flex="1" minW={0} fontSize="note" fontFamily="mono" overflowWrap="anywhere">
            {key.slice(key.indexOf('/') + 1)}
          </Box>
          <Line
            w="140px"
            fontSize="note"
            aria-label={`Value of ${key.slice(key.indexOf('/') + 1)}`}
            value={written(value)}
            onChange={(e) => put(key, e.target.value)}
          />
          <Action
            type="button"
            tone="quiet"
            aria-label={`nothing of ${key.slice(key.indexOf('/') + 1)}`}
            onClick={() => put(key, undefined)}
          >
            ×
          </Action>
        </Flex>
      ))}
      <Flex gap="6px">
        {sources.length > 1 && (
          <Select aria-label="Which plant" fontSize="note" value={source} onChange={(e) => setSource(e.target.value)}>
            {sources.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </Select>
        )}
        <Line
          fontSize="note"
          fontFamily="mono"
          aria-label="Which node"
          placeholder="node, as UT.wind.gust"
          value={node}
          onChange={(e) => setNode(e.target.value)}
        />
        <Action
          type="button"
          whiteSpace="nowrap"
          disabled={!node.trim()}
          onClick={() => {
            put(`${source}/${node.trim()}`, 'yes');
            setNode('');
          }}
        >
          + value
        </Action>
      </Flex>
    </Flex>
  );
}

/** A value as people write it: yes and no, a number, else a text. */
function read(text: string): boolean | number | string {
  if (text === 'yes' || text === 'no') return text === 'yes';
  return text.trim() !== '' && Number.isFinite(Number(text)) && !text.endsWith('.') ? Number(text) : text;
}

function written(value: unknown): string {
  return value === true ? 'yes' : value === false ? 'no' : String(value);
}

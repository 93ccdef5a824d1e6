import { Box, Flex } from '@chakra-ui/react';
import { ZoomIn, ZoomOut } from 'lucide-react';
import type { ScreenMap, Who } from '../../../api/client';
import { tablesOf } from '../../../document/tables';
import { Action, Line, Select } from '../../../ui/controls';
import { useWhole } from '../context';
import { Narrow } from '../Narrow';
import { summary, type Wanted } from './filter';

interface HeadProps {
  map: ScreenMap;
  who: Who[];
  as: string;
  onWho: (key: string) => void;
  wanted: Wanted;
  onWanted: (w: Wanted) => void;
  onFound: () => void;
  onZoom: (by: number) => void;
  onWhole: () => void;
  onFile: (format: 'svg' | 'scxml') => void;
}

/** For whom the map is, what of it is wanted, how near one looks, and files of it. */
export function MapHead({ map, who, as, onWho, wanted, onWanted, onFound, onZoom, onWhole, onFile }: HeadProps) {
  const { draft } = useWhole();
  const screens = map.plates.filter((p) => !p.rail);
  const areas = [...new Set(screens.map((p) => p.area ?? ''))].sort();
  const types = [...new Set(screens.map((p) => p.type))].sort();
  const tables = tablesOf(draft.entities).filter((t) => screens.some((p) => p.table === t.id));
  const pick = (part: 'type' | 'table' | 'area', label: string, all: string, options: [string, string][]) => (
    <Narrow
      label={label}
      all={all}
      options={options}
      maxW="128px"
      value={wanted[part]}
      onChange={(to) => onWanted({ ...wanted, [part]: to })}
    />
  );
  return (
    <Flex align="center" gap="8px" px="18px" py="8px" wrap="wrap" borderBottomWidth="1px" borderColor="rule">
      <Box as="h1" srOnly>
        Map
      </Box>
      <Select
        aria-label="For whom"
        fontSize="note"
        fontWeight="700"
        minH="32px"
        value={as}
        onChange={(e) => onWho(e.target.value)}
      >
        <option value="*">for all roles</option>
        {who.map((w) => (
          <option key={w.key} value={w.key}>
            for {w.name}
          </option>
        ))}
      </Select>
      <Line
        aria-label="Find a screen"
        placeholder="find a screen"
        w="140px"
        minH="32px"
        fontSize="note"
        value={wanted.find}
        onChange={(e) => onWanted({ ...wanted, find: e.target.value })}
        onKeyDown={(e) => e.key === 'Enter' && onFound()}
        title="Enter goes to the first one"
      />
      {pick(
        'type',
        'Which kind',
        'all kinds',
        types.map((t) => [t, t]),
      )}
      {areas.length > 1 &&
        pick(
          'area',
          'Which area',
          'all areas',
          areas.filter(Boolean).map((a) => [a, a]),
        )}
      {tables.length > 0 &&
        pick(
          'table',
          'Which table',
          'all tables',
          tables.map((t) => [t.id, t.label]),
        )}
      <Select
        aria-label="Only"
        fontSize="note"
        minH="32px"
        maxW="170px"
        value={wanted.only}
        onChange={(e) => onWanted({ ...wanted, only: e.target.value as Wanted['only'] })}
      >
        <option value="">whatever it is</option>
        <option value="findings">only with findings</option>
        <option value="trapped">only without a way back</option>
        <option value="unused">only never used</option>
        <option value="unled">only where no way leads</option>
        {draft.released > 0 && <option value="changed">only changed since the release</option>}
      </Select>
      <Box flex="1" />
      <Action
        tone="quiet"
        px="6px"
        aria-label="Farther"
        title="Farther (Ctrl and wheel)"
        onClick={() => onZoom(1 / 1.35)}
      >
        <ZoomOut size={17} aria-hidden />
      </Action>
      <Action tone="quiet" px="6px" aria-label="Nearer" title="Nearer (Ctrl and wheel)" onClick={() => onZoom(1.35)}>
        <ZoomIn size={17} aria-hidden />
      </Action>
      <Action onClick={onWhole}>The whole</Action>
      <Action onClick={() => onFile('svg')} title="A picture of the map">
        SVG
      </Action>
      <Action onClick={() => onFile('scxml')} title="States and transitions (SCXML, W3C)">
        SCXML
      </Action>
      <Box w="full" fontSize="note" color="muted">
        {summary(map)}
      </Box>
    </Flex>
  );
}

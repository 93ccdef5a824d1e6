import { Box, Flex } from '@chakra-ui/react';
import { tablesOf } from '../../../../document/tables';
import { variableTypes } from '../../../../document/variables';
import { Line, Select } from '../../../../ui/controls';
import { useBuild } from '../../../context';

interface FreshProps {
  fresh: { label: string; type: string; table: string; screen: string };
  onFresh: (f: FreshProps['fresh']) => void;
  shared: boolean;
}

/** What a new variable is called and holds, and how long it stays. */
export function FreshVariable({ fresh, onFresh, shared }: FreshProps) {
  const { entities, screen } = useBuild();
  const put = (change: Partial<FreshProps['fresh']>) => onFresh({ ...fresh, ...change });
  return (
    <Flex gap="6px" wrap="wrap" align="center" w="full">
      called
      <Box w="150px">
        <Line aria-label="Its name" value={fresh.label} onChange={(e) => put({ label: e.target.value })} />
      </Box>
      for
      <Select aria-label="What it holds" value={fresh.type} onChange={(e) => put({ type: e.target.value })}>
        {variableTypes.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
      {fresh.type === 'record' && (
        <Select aria-label="Table" value={fresh.table} onChange={(e) => put({ table: e.target.value })}>
          {tablesOf(entities).map((t) => (
            <option key={t.id} value={t.id}>
              {t.label.toLowerCase()}
            </option>
          ))}
        </Select>
      )}
      {!shared && (
        <Select aria-label="How long" value={fresh.screen} onChange={(e) => put({ screen: e.target.value })}>
          <option value="">kept by the tab, on every screen</option>
          <option value={screen}>kept on this screen only</option>
        </Select>
      )}
    </Flex>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { screensOf } from '../../../document/screens';
import { Action, Line } from '../../../ui/controls';
import { useWhole } from '../context';
import { Narrow } from '../Narrow';
import { ReleasesHead } from '../releases/ReleasesHead';
import type { Asked } from './history';

/** Whose edits, and of which screen; and when a screen is to be looked at. */
export function HistorySide({ asked, onAsk }: { asked: Asked; onAsk: (to: Asked) => void }) {
  const { draft } = useWhole();
  const [when, setWhen] = useState('');
  const screens = screensOf(draft.entities);
  const known = !asked.entity || screens.some((s) => s.id === asked.entity);
  return (
    <Flex
      direction="column"
      w="290px"
      flexShrink={0}
      borderRightWidth="1px"
      borderColor="rule"
      minH={0}
      overflowY="auto"
    >
      <ReleasesHead at="history" />
      <Flex direction="column" gap="8px" p="4px 22px 14px">
        <Narrow
          label="Of which screen"
          all="of everything"
          value={asked.entity}
          options={[
            ...(known ? [] : ([[asked.entity, 'a screen that is gone']] satisfies [string, string][])),
            ...screens.map((s): [string, string] => [s.id, s.title]),
          ]}
          onChange={(entity) => onAsk({ ...asked, entity, past: undefined })}
        />
        <Narrow
          label="By whom"
          all="by everybody"
          value={asked.by}
          options={draft.people.filter((p) => p.builds).map((p) => [p.id, p.name])}
          onChange={(by) => onAsk({ ...asked, by })}
        />
      </Flex>
      <Box
        as="form"
        p="10px 22px"
        borderTopWidth="1px"
        borderColor="rule"
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          if (asked.entity && when) onAsk({ ...asked, past: { at: new Date(when).toISOString() } });
        }}
      >
        <Box fontWeight="700" mb="4px">
          What was it then?
        </Box>
        <Box fontSize="note" color="muted" mb="6px">
          {asked.entity
            ? 'The screen as it was being built at a time, drawn over the records of today.'
            : 'Choose a screen above, then a time.'}
        </Box>
        <Line
          type="datetime-local"
          aria-label="At which time"
          value={when}
          disabled={!asked.entity}
          onChange={(e) => setWhen(e.target.value)}
        />
        <Action type="submit" mt="6px" disabled={!asked.entity || !when}>
          Show it
        </Action>
      </Box>
    </Flex>
  );
}

import { Box } from '@chakra-ui/react';
import { TabRow } from '../../TabRow';
import { useWhole } from '../context';

const tabs = ['What users get', 'Who changed what'] as const;

/** The two halves of the view: releases, and the history of edits. */
export function ReleasesHead({ at }: { at: 'releases' | 'history' }) {
  const { openRelease } = useWhole();
  return (
    <Box p="14px 14px 10px 22px">
      <Box as="h1" fontSize="head" fontWeight="800" mb="6px">
        Releases
      </Box>
      <TabRow
        tabs={tabs}
        at={at === 'releases' ? tabs[0] : tabs[1]}
        onTab={(t) => openRelease(t === tabs[0] ? '' : 'history')}
      />
    </Box>
  );
}

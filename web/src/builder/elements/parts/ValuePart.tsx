import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { NameInfo } from '../../../api/client';
import { put, text } from '../../../document/edit';
import { Labelled } from '../../../ui/Labelled';
import { NamePicker } from '../../condition/NamePicker';
import { readCondition, type Spot, useNames } from '../../condition/spot';
import { useBuild } from '../../context';

interface ValuePartProps {
  path: string[]; // of what it is a part of
  name: string;
  label: string;
  /** What can be chosen: numbers of the plant, say. */
  only: (n: NameInfo) => boolean;
}

/** A part of an element that is a value: told in words, and chosen by any word of its name. */
export function ValuePart({ path, name, label, only }: ValuePartProps) {
  const { project, as, screen, entities, edit } = useBuild();
  const element = path[2];
  const spot: Spot = { project, as, screen, element };
  const stored = text(entities, ...path, name);
  const names = useNames(spot);
  const read = useQuery({
    queryKey: ['phrase', project, screen, element, stored],
    queryFn: () => readCondition(spot, { text: stored, value: true }),
    enabled: stored !== '',
  });
  const choose = async (n: NameInfo) => {
    const { stored: kept, problem } = await readCondition(spot, { text: n.path, value: true });
    if (!problem) await edit(put(entities, [...path, name], kept));
  };
  return (
    <Labelled label={label}>
      <Flex align="center" gap="6px" minH="34px">
        <Box fontWeight="700" maxW="260px">
          {read.data ? (read.data.problem?.message ?? read.data.phrase) : stored ? '…' : 'nothing yet'}
        </Box>
        <NamePicker
          spot={spot}
          names={names.data ?? []}
          only={only}
          label={label}
          words={stored ? 'another …' : 'choose …'}
          onChoose={(n) => void choose(n)}
        />
      </Flex>
    </Labelled>
  );
}

/** Numbers that a gauge or a trend can show. */
export const isNumber = (n: NameInfo) => ['number', 'whole', 'decimal'].includes(n.type);

import { Box } from '@chakra-ui/react';
import { useRights } from '../context';
import { ViewHead } from '../ViewHead';
import { ConditionCard } from './ConditionCard';
import { NewCondition } from './NewCondition';

/** Conditions with a name, shared by many, and where each is used. */
export function ConditionsPage() {
  const { rights } = useRights();
  return (
    <>
      <ViewHead title="Shared conditions">
        Write a condition once, use it by name: in ways, guards, row rules and other conditions. A change applies
        everywhere.
      </ViewHead>
      <Box overflowY="auto" flex="1" minH={0}>
        {rights.conditions.length === 0 && <Box color="muted">There is none yet.</Box>}
        {rights.conditions.map((c) => (
          <ConditionCard key={c.id} condition={c} />
        ))}
        <NewCondition />
      </Box>
    </>
  );
}

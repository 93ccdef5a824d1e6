import { Box } from '@chakra-ui/react';
import { variablesOf } from '../../../document/variables';
import { useRights } from '../context';
import { ViewHead } from '../ViewHead';
import { NewVariable } from './NewVariable';
import { VariableCard } from './VariableCard';

/** What a browser tab keeps: typed, with a beginning, for the project or for one screen. */
export function VariablesPage() {
  const { entities } = useRights();
  const all = variablesOf(entities);
  return (
    <>
      <ViewHead title="Variables">
        Values a browser tab remembers. Ways set them; conditions and texts read them.
      </ViewHead>
      <Box overflowY="auto" flex="1" minH={0}>
        {all.length === 0 && <Box color="muted">There is none yet.</Box>}
        {all.map((v) => (
          <VariableCard key={v.id} variable={v} />
        ))}
        <NewVariable />
      </Box>
    </>
  );
}

import { Box } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, type Tried } from '../../api/client';
import { wordsOfProblem } from '../../trail/Press';
import { Action } from '../../ui/controls';
import { wordsOf } from '../problems';
import { Told } from '../Told';
import { Line } from './TriedLine';
import { TriedPlant } from './TriedPlant';

/** What became of trying a connection, and what is missing, made on a press. Without a name it is not kept yet. */
export function TriedWords({ tried, name, onDone }: { tried: Tried; name?: string; onDone?: () => void }) {
  if (tried.plant) return <TriedPlant tried={tried} />;
  if (tried.no) return <Told words={wordsOfProblem(tried.no)} />;
  const schemas =
    tried.schemas.length === 1 ? `the schema ${tried.schemas[0]}` : `the schemas ${tried.schemas.join(', ')}`;
  return (
    <Box mt="10px" role="status">
      <Box as="ul" listStyleType="none" display="grid" gap="3px">
        <Line ok>
          Reached, and signed in: PostgreSQL {tried.version}, {tried.encrypted ? 'by TLS' : 'without TLS'}.
        </Line>
        <Line ok={tried.tables > 0}>
          {tried.tables > 0
            ? `It may read ${tried.tables} ${tried.tables === 1 ? 'table' : 'tables'} in ${schemas}.`
            : 'It may read no table: ask who runs the database for the right.'}
        </Line>
        <Line ok={tried.mayWrite}>{tried.mayWrite ? 'It may change records.' : 'It may not change records.'}</Line>
        <Line ok={tried.claims}>
          {tried.claims
            ? 'The table for presses is there: what is pressed is done once.'
            : 'The table for presses is missing: until it is there, records can only be read.'}
        </Line>
      </Box>
      {!tried.claims && tried.statement && <PressTable tried={tried} name={name} onDone={onDone} />}
    </Box>
  );
}

function PressTable({ tried, name, onDone }: { tried: Tried; name?: string; onDone?: () => void }) {
  const queries = useQueryClient();
  const make = useMutation({
    mutationFn: (connection: string) =>
      ask(api.POST('/api/connections/{connection}/presses', { params: { path: { connection } } })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['connections'] });
      onDone?.();
    },
  });
  return (
    <Box mt="10px" maxW="640px">
      {tried.mayClaim && name && (
        <Action mt="8px" tone="main" onClick={() => make.mutate(name)} disabled={make.isPending}>
          Make the table
        </Action>
      )}
      {tried.mayClaim && !name && <Box fontSize="note">It can be made here, once the connection is kept.</Box>}
      {!tried.mayClaim && (
        <Box fontSize="note" mt="4px">
          The database lets this name make no table: give the statement to who runs it.
        </Box>
      )}
      <Box fontSize="note" color="muted" mt="10px" mb="4px">
        It is one small table, made by this statement:
      </Box>
      <Box
        as="pre"
        fontFamily="mono"
        fontSize="12px"
        bg="paper"
        borderWidth="1px"
        borderColor="rule"
        p="8px"
        overflowX="auto"
        tabIndex={0}
      >
        {tried.statement}
      </Box>
      <Told words={wordsOf(make.error)} />
    </Box>
  );
}

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { ConnectionInfo } from '../../api/client';
import { Select } from '../../ui/controls';
import { Asked } from '../Asked';
import { ConnectionFrame } from './ConnectionFrame';
import { useKeeping } from './keeping';
import { TriedWords } from './TriedWords';

/** Where a database is and who signs in to it; tried before it is kept. */
export function ConnectionDialog({ was, onClose }: { was?: ConnectionInfo; onClose: () => void }) {
  const [name, setName] = useState(was?.name ?? '');
  const [database, setDatabase] = useState(
    was?.database ?? { host: '127.0.0.1', port: 5432, database: '', login: '', tls: 'verified' },
  );
  const [password, setPassword] = useState('');
  const set = (part: Partial<typeof database>) => setDatabase({ ...database, ...part });
  const body = { name, database, password: password === '' && was ? undefined : password };
  const keeping = useKeeping(body, (tried) => {
    if (tried.no?.code !== 'own-store' && tried.claims) onClose();
  });
  const { keep, kept, tried, wrong } = keeping;
  return (
    <ConnectionFrame
      kind="database"
      was={was}
      name={name}
      hint="Works database"
      onName={setName}
      keeping={keeping}
      onClose={onClose}
    >
      <Flex gap="12px">
        <Box flex="3">
          <Asked label="Address" value={database.host} onChange={(host) => set({ host })} wrong={wrong.host} />
        </Box>
        <Box flex="1">
          <Asked
            label="Port"
            type="number"
            value={String(database.port)}
            onChange={(port) => set({ port: Number(port) || 0 })}
            wrong={wrong.port}
          />
        </Box>
      </Flex>
      <Asked
        label="Name of the database"
        value={database.database}
        onChange={(d) => set({ database: d })}
        wrong={wrong.database}
      />
      <Flex gap="12px">
        <Box flex="1">
          <Asked label="Signs in as" value={database.login} onChange={(login) => set({ login })} wrong={wrong.login} />
        </Box>
        <Box flex="1">
          <Asked
            label={was ? 'Password (empty: as it is)' : 'Password'}
            type="password"
            auto="new-password"
            value={password}
            onChange={setPassword}
          />
        </Box>
      </Flex>
      <Box as="label" display="block" mb="6px">
        <Box fontSize="note" color="muted" mb="3px">
          Encrypted
        </Box>
        <Select w="full" value={database.tls} onChange={(e) => set({ tls: e.target.value })}>
          <option value="verified">by TLS, and the certificate is checked</option>
          <option value="required">by TLS, whatever the certificate</option>
          <option value="off">not at all: on this machine, or in a network of one’s own</option>
        </Select>
      </Box>
      {tried && <TriedWords tried={tried} name={kept ? name.trim() : undefined} onDone={() => keep()} />}
      {kept && tried?.no && <Box fontSize="note">It is kept all the same, and can be changed here.</Box>}
    </ConnectionFrame>
  );
}

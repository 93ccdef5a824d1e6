import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { ConnectionInfo, ConnectionKept } from '../../api/client';
import { Action, Select } from '../../ui/controls';
import { Asked } from '../Asked';
import { ConnectionFrame } from './ConnectionFrame';
import { Fingerprint } from './Fingerprint';
import { useKeeping } from './keeping';
import { TriedPlant } from './TriedPlant';

const anew = { endpoint: 'opc.tcp://', namespace: '', security: 'encrypted', policy: '', login: '', trusted: '' };

/** Where a plant is, how the way there is kept safe, and who signs in to it; tried before it is kept. */
export function PlantDialog({ was, onClose }: { was?: ConnectionInfo; onClose: () => void }) {
  const [name, setName] = useState(was?.name ?? '');
  const [plant, setPlant] = useState<NonNullable<ConnectionKept['plant']>>(was?.plant ?? anew);
  const [password, setPassword] = useState('');
  const [by, setBy] = useState(plant.certified ? 'certificate' : plant.login ? 'name' : 'nobody');
  const set = (part: Partial<typeof plant>) => setPlant({ ...plant, ...part });
  const body: ConnectionKept = { name, plant, password: password === '' ? undefined : password };
  const keeping = useKeeping(body, (done) => {
    if (!done.no) onClose();
  });
  const signIn = (way: string) => {
    setBy(way);
    setPassword('');
    set({ login: '', certified: way === 'certificate' });
  };
  const { attempt, kept, tried, wrong } = keeping;
  const trust = (trusted: string) => {
    set({ trusted });
    attempt({ ...body, plant: { ...plant, trusted } });
  };
  const safe = plant.security !== 'off';
  const policies = (tried?.plant?.offers ?? []).filter((o) => o.security === plant.security && o.policy);
  return (
    <ConnectionFrame
      kind="plant"
      was={was}
      name={name}
      hint="Drives of the lifts"
      onName={setName}
      keeping={keeping}
      onClose={onClose}
    >
      <Asked
        label="Address (OPC UA)"
        value={plant.endpoint}
        hint="opc.tcp://10.0.0.12:4840"
        onChange={(endpoint) => set({ endpoint, trusted: '' })}
        wrong={wrong.endpoint}
      />
      <Flex gap="12px">
        <Box as="label" display="block" mb="12px" flex="1">
          <Box fontSize="note" color="muted" mb="3px">
            Safety on the way
          </Box>
          <Select w="full" value={plant.security} onChange={(e) => set({ security: e.target.value, policy: '' })}>
            <option value="encrypted">signed and encrypted</option>
            <option value="signed">signed, readable by others</option>
            <option value="off">none: in a network of one’s own</option>
          </Select>
        </Box>
        {safe && (
          <Box as="label" display="block" mb="12px" flex="1">
            <Box fontSize="note" color="muted" mb="3px">
              By
            </Box>
            <Select w="full" value={plant.policy} onChange={(e) => set({ policy: e.target.value })}>
              <option value="">the best that it offers</option>
              {plant.policy && !policies.some((o) => o.policy === plant.policy) && <option>{plant.policy}</option>}
              {policies.map((o) => (
                <option key={o.policy}>{o.policy}</option>
              ))}
            </Select>
          </Box>
        )}
      </Flex>
      {safe && (
        <Box as="label" display="block" mb="12px">
          <Box fontSize="note" color="muted" mb="3px">
            Signing in
          </Box>
          <Select w="full" value={by} onChange={(e) => signIn(e.target.value)}>
            <option value="nobody">without a name</option>
            <option value="name">by a name and a password</option>
            <option value="certificate">by this program’s certificate</option>
          </Select>
        </Box>
      )}
      {safe && by === 'name' && (
        <Flex gap="12px">
          <Box flex="1">
            <Asked label="Signs in as" value={plant.login} onChange={(login) => set({ login })} wrong={wrong.login} />
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
      )}
      {tried?.plant && tried.plant.namespaces.length > 0 ? (
        <Box as="label" display="block" mb="12px">
          <Box fontSize="note" color="muted" mb="3px">
            Names without a path are looked up in
          </Box>
          <Select w="full" value={plant.namespace} onChange={(e) => set({ namespace: e.target.value })}>
            <option value="">none: everything is named by its path</option>
            {[...new Set([plant.namespace, ...tried.plant.namespaces])].filter(Boolean).map((uri) => (
              <option key={uri}>{uri}</option>
            ))}
          </Select>
        </Box>
      ) : (
        plant.namespace && (
          <Box fontSize="note" color="muted" mb="12px">
            Names without a path are looked up in {plant.namespace}.
          </Box>
        )
      )}
      {plant.trusted && (
        <Flex fontSize="note" gap="8px" align="center" mb="8px">
          <Box flex="1" minW="0">
            Trusted: <Fingerprint>{plant.trusted}</Fingerprint>
          </Box>
          <Action onClick={() => set({ trusted: '' })}>Trust it no more</Action>
        </Flex>
      )}
      {tried && <TriedPlant tried={tried} onTrust={trust} />}
      {kept && tried?.no && (
        <Box fontSize="note">It is kept all the same; it is reached as soon as this is put right.</Box>
      )}
    </ConnectionFrame>
  );
}

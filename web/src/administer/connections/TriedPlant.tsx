import { Box } from '@chakra-ui/react';
import type { Tried } from '../../api/client';
import { wordsOfProblem } from '../../trail/Press';
import { Action } from '../../ui/controls';
import { Told } from '../Told';
import { Fingerprint } from './Fingerprint';
import { OwnCertificate } from './OwnCertificate';
import { Line } from './TriedLine';

const safety: Record<string, string> = { encrypted: 'signed and encrypted', signed: 'signed', off: 'without safety' };

/** What became of trying a plant: what it offers, the certificate it shows, and trusting it. */
export function TriedPlant({ tried, onTrust }: { tried: Tried; onTrust?: (fingerprint: string) => void }) {
  const plant = tried.plant;
  const shown = plant?.certificate;
  const asks = tried.no?.code === 'plant-untrusted' || tried.no?.code === 'plant-changed';
  return (
    <Box mt="10px" role="status">
      {plant && plant.offers.length > 0 && (
        <Box as="ul" listStyleType="none" display="grid" gap="3px">
          <Line ok>It answers{plant.server ? ` as ${plant.server}` : ''}.</Line>
          <Line ok>
            It can be reached{' '}
            {plant.offers.map((o) => safety[o.security] + (o.policy ? ` by ${o.policy}` : '')).join('; ')}.
          </Line>
          {!tried.no && <Line ok>It lets this program in.</Line>}
        </Box>
      )}
      {tried.no && <Told words={wordsOfProblem(tried.no)} />}
      {asks && shown && (
        <Box borderWidth="1px" borderColor="rule" borderRadius="4px" p="10px" my="8px">
          <Box fontWeight="700">{shown.subject || 'A certificate without a name'}</Box>
          <Box fontSize="note" color="muted" mb="4px">
            holds until {new Date(shown.until).toLocaleDateString()}
          </Box>
          <Fingerprint>{shown.fingerprint}</Fingerprint>
          {onTrust ? (
            <Box mt="8px">
              <Action onClick={() => onTrust(shown.fingerprint)}>It is the same: trust it</Action>
            </Box>
          ) : (
            <Box fontSize="note" mt="8px">
              It is trusted where the connection is changed.
            </Box>
          )}
        </Box>
      )}
      {tried.no?.code === 'plant-trusts-not' && <OwnCertificate />}
    </Box>
  );
}

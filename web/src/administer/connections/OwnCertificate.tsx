import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { Waiting } from '../../ui/Message';
import { wordsOf } from '../problems';
import { Told } from '../Told';
import { Fingerprint } from './Fingerprint';

/** The certificate that this program shows to plants, for who is to let them trust it. */
export function OwnCertificate() {
  const own = useQuery({ queryKey: ['plant-certificate'], queryFn: () => ask(api.GET('/api/plants/certificate')) });
  if (own.isPending) return <Waiting what="Reading the certificate …" />;
  if (!own.data) return <Told words={wordsOf(own.error)} />;
  const file = `data:application/x-pem-file,${encodeURIComponent(own.data.pem ?? '')}`;
  return (
    <Box fontSize="note" borderTopWidth="1px" borderColor="rule" mt="16px" pt="12px" maxW="720px">
      Plants that are reached safely are shown the certificate <b>{own.data.subject}</b>, which holds until{' '}
      {new Date(own.data.until).toLocaleDateString()}. Let them trust it:{' '}
      <Box as="span" color="pine" fontWeight="700" textDecoration="underline">
        <a href={file} download="ambergate-certificate.pem">
          save it as a file
        </a>
      </Box>
      .
      <Box mt="4px">
        <Fingerprint>{own.data.fingerprint}</Fingerprint>
      </Box>
    </Box>
  );
}

import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../../api/client';
import { readEvery } from '../plant/readEvery';
import { nowWords } from './leads';

/** How it is with a call-up now, as it stands in the draft: tried before it is released, nothing comes of it. */
export function NowLine({ project, callUp }: { project: string; callUp: string }) {
  const now = useQuery({
    queryKey: ['callups-now', project],
    queryFn: () => ask(api.GET('/api/build/{project}/callups', { params: { path: { project } } })),
    refetchInterval: readEvery,
  });
  const one = now.data?.find((n) => n.callUp === callUp);
  if (!one) return null;
  return (
    <Box mt="6px" fontSize="note" fontWeight="700" color={one.on.length > 0 ? 'brick' : 'muted'} role="status">
      {nowWords(one)}
    </Box>
  );
}

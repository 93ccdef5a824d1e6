import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { wordsOf } from '../../../administer/problems';
import { Told } from '../../../administer/Told';
import { api, ask, type PlantNode } from '../../../api/client';
import { entitiesOf } from '../../../document/parts';
import { Action } from '../../../ui/controls';
import { useRights } from '../context';
import { FromPlant } from './FromPlant';

/** Finding values of a plant that belong to no record, and taking them in one by one. */
export function TakeInValues({ onClose }: { onClose: () => void }) {
  const { project, entities, edit } = useRights();
  const [told, setTold] = useState('');
  const take = useMutation({
    mutationFn: async (at: { connection: string; path: string }) => {
      const made = await ask(api.POST('/api/build/{project}/tags', { params: { path: { project } }, body: at }));
      if (made.patch.length === 0) return setTold(made.words);
      await edit(made.patch);
      setTold(`Taken in: ${made.words}.`);
    },
  });
  const there = new Set(
    entitiesOf(entities, 'tag').flatMap((t) => {
      const source = entities[t.source];
      return source?.kind === 'source' ? [`${source.connection} ${t.node}`] : [];
    }),
  );
  const action = (n: PlantNode, connection: string) => {
    if (n.folder || !n.readable) return null;
    if (there.has(`${connection} ${n.path}`)) return 'taken in';
    return (
      <Action
        aria-label={`Take in ${n.path.slice(1).replaceAll('/', ' › ')}`}
        disabled={take.isPending}
        onClick={() => take.mutate({ connection, path: n.path })}
      >
        take in
      </Action>
    );
  };
  return (
    <FromPlant
      title="Take in single values"
      find="Values that belong to no record: the wind at the top, the power that the works draw, a horn."
      action={action}
      onClose={onClose}
    >
      <Told words={wordsOf(take.error)} />
      <Box role="status" color="muted" fontSize="note">
        {told}
      </Box>
    </FromPlant>
  );
}

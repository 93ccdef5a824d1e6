import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Clip, Picture } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { shownBy } from '../../../document/pictures';
import { Action } from '../../../ui/controls';
import { useBuild } from '../../context';
import { TypedPart } from '../../elements/parts/TypedPart';
import { keepFile, type Sort, whyNotKept } from '../../keep';
import { KeptFile } from './KeptFile';

interface KeptProps {
  sort: Sort;
  id: string;
  kept: Picture | Clip;
  onProblem: (words: string | undefined) => void;
}

/** What was chosen: what it is called and shows, where it is shown, and another in its stead everywhere. */
export function KeptTold({ sort, id, kept, onProblem }: KeptProps) {
  const { project, entities, edit } = useBuild();
  const [replacing, setReplacing] = useState(false);
  const by = shownBy(entities, id);
  const replace = async (file: File) => {
    onProblem(undefined);
    try {
      const { digest } = await keepFile(project, file, sort);
      await edit(put(entities, [id, 'digest'], digest));
      setReplacing(false);
    } catch (e) {
      onProblem(whyNotKept(e));
    }
  };
  return (
    <Box mt="10px" pt="8px" borderTopWidth="1px" borderColor="rule">
      <Flex gap="8px">
        <TypedPart path={[id]} name="name" label="Its name" value={kept.name} width="130px" needed />
        <TypedPart path={[id]} name="words" label="What it shows" value={kept.words} width="210px" />
      </Flex>
      <Flex gap="10px" align="center" mt="6px" fontSize="note" color="muted" wrap="wrap">
        <span>Used by {by.length === 0 ? 'nothing yet' : by.join(', ')}</span>
        <Action minH="28px" aria-expanded={replacing} onClick={() => setReplacing(!replacing)}>
          replace it everywhere
        </Action>
      </Flex>
      {replacing && (
        <KeptFile
          sort={sort}
          label={`${sort === 'clip' ? 'Clip' : 'Picture'} in its stead`}
          onFile={(f) => void replace(f)}
        />
      )}
    </Box>
  );
}

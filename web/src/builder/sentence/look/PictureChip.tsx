import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { put, text } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { picturesOf } from '../../../document/project';
import { Action, Line } from '../../../ui/controls';
import { found } from '../../choices';
import { useBuild } from '../../context';
import { keepPicture, whyNotKept } from '../../keepPicture';
import { Pop } from '../../Pop';
import { KeptPicture } from './KeptPicture';
import { PictureFile } from './PictureFile';

const searchedFrom = 7; // pictures

interface ChipProps {
  path: string[];
  needed?: boolean; // there has to be one
}

/** A picture of the project: one that is there already, or a file from this computer. */
export function PictureChip({ path, needed }: ChipProps) {
  const { project, entities, edit } = useBuild();
  const [open, setOpen] = useState(false);
  const [find, setFind] = useState('');
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string>();
  const now = text(entities, ...path);
  const kept = entityOf(entities, now, 'picture');
  const take = async (file: File) => {
    setProblem(undefined);
    try {
      const { id, op } = await keepPicture(project, file, words);
      await edit([op, ...put(entities, path, id)]);
      setOpen(false);
    } catch (e) {
      setProblem(whyNotKept(e));
    }
  };
  const choose = (id: string | undefined) => {
    setOpen(false);
    void edit(put(entities, path, id));
  };
  const all = picturesOf(entities).map((p) => ({ ...p, note: p.words, words: p.name, shows: p.words }));
  return (
    <Box position="relative">
      <Action aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(!open)}>
        {now ? `picture: ${kept?.name || 'gone'}` : 'picture …'}
      </Action>
      {open && (
        <Pop label="Picture" onClose={() => setOpen(false)}>
          <Box p="12px" w="380px">
            {all.length >= searchedFrom && (
              <Line
                aria-label="Find a picture"
                placeholder="find a picture"
                mb="8px"
                value={find}
                onChange={(e) => setFind(e.target.value)}
              />
            )}
            <Flex wrap="wrap" gap="8px" maxH="170px" overflowY="auto">
              {found(all, find).map((p) => (
                <Box
                  as="button"
                  key={p.id}
                  w="104px"
                  p="4px"
                  borderWidth="1.5px"
                  borderColor={p.id === now ? 'amber' : 'rule'}
                  borderRadius="4px"
                  cursor="pointer"
                  aria-current={p.id === now || undefined}
                  onClick={() => choose(p.id)}
                >
                  <img
                    src={`/api/project-pictures/${project}/${p.digest}`}
                    alt={p.shows || p.name}
                    style={{ maxHeight: 60, maxWidth: '100%', margin: '0 auto' }}
                  />
                  <Box fontSize="note" truncate>
                    {p.name}
                  </Box>
                </Box>
              ))}
            </Flex>
            {kept && <KeptPicture id={now} picture={kept} onProblem={setProblem} />}
            {now && !needed && (
              <Action mt="8px" onClick={() => choose(undefined)}>
                no picture
              </Action>
            )}
            <Box fontSize="note" color="muted" mt="12px" mb="3px">
              A new one: say what it shows, for people who cannot see it.
            </Box>
            <Line aria-label="What it shows" value={words} onChange={(e) => setWords(e.target.value)} />
            <PictureFile label="Picture file" onFile={(f) => void take(f)} />
            {problem && (
              <Box color="brick" fontSize="note" mt="6px" role="alert">
                {problem}
              </Box>
            )}
          </Box>
        </Pop>
      )}
    </Box>
  );
}

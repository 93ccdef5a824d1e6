import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Refused } from '../../../api/client';
import { put, text } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { picturesOf } from '../../../document/project';
import { wordsOfProblem } from '../../../trail/Press';
import { Action, Line } from '../../../ui/controls';
import { useBuild } from '../../context';
import { keepPicture } from '../../keepPicture';
import { Pop } from '../../Pop';

/** A picture of the project: one that is there already, or a file from this computer. */
export function PictureChip({ path }: { path: string[] }) {
  const { project, entities, edit } = useBuild();
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string>();
  const now = text(entities, ...path);
  const take = async (file: File | undefined) => {
    if (!file) return;
    setProblem(undefined);
    try {
      const { id, op } = await keepPicture(project, file, words);
      await edit([op, ...put(entities, path, id)]);
      setOpen(false);
    } catch (e) {
      if (!(e instanceof Refused)) throw e;
      setProblem(wordsOfProblem(e.problem));
    }
  };
  const choose = (id: string | undefined) => {
    setOpen(false);
    void edit(put(entities, path, id));
  };
  return (
    <Box position="relative">
      <Action aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(!open)}>
        {now ? `picture: ${entityOf(entities, now, 'picture')?.name || 'gone'}` : 'picture …'}
      </Action>
      {open && (
        <Pop label="Picture" onClose={() => setOpen(false)}>
          <Box p="12px" w="360px">
            <Flex wrap="wrap" gap="8px">
              {picturesOf(entities).map((p) => (
                <Box
                  as="button"
                  key={p.id}
                  w="104px"
                  p="4px"
                  borderWidth="1.5px"
                  borderColor={p.id === now ? 'amber' : 'rule'}
                  borderRadius="4px"
                  cursor="pointer"
                  onClick={() => choose(p.id)}
                >
                  <img
                    src={`/api/project-pictures/${project}/${p.digest}`}
                    alt={p.words || p.name}
                    style={{ maxHeight: 60, maxWidth: '100%', margin: '0 auto' }}
                  />
                  <Box fontSize="note" truncate>
                    {p.name}
                  </Box>
                </Box>
              ))}
            </Flex>
            {now && path[path.length - 1] === 'picture' && path.length > 4 && (
              <Action mt="8px" onClick={() => choose(undefined)}>
                no picture
              </Action>
            )}
            <Box fontSize="note" color="muted" mt="10px" mb="3px">
              A new one: say what it shows, for people who cannot see it.
            </Box>
            <Line aria-label="What it shows" value={words} onChange={(e) => setWords(e.target.value)} />
            <Box mt="8px">
              <input
                type="file"
                aria-label="Picture file"
                accept="image/png,image/jpeg,image/webp,image/gif,image/svg+xml"
                onChange={(e) => void take(e.target.files?.[0])}
              />
            </Box>
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

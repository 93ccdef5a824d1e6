import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { put, text } from '../../../document/edit';
import { entityOf } from '../../../document/parts';
import { Action, Line } from '../../../ui/controls';
import { found } from '../../choices';
import { useBuild } from '../../context';
import { keep, type Sort, whyNotKept } from '../../keep';
import { Pop } from '../../Pop';
import { KeptFile } from './KeptFile';
import { KeptTold } from './KeptTold';
import { sorts } from './keptSorts';

const searchedFrom = 7; // of them

interface ChipProps {
  sort?: Sort; // picture
  path: string[];
  needed?: boolean; // there has to be one
}

/** A picture or clip of the project: one that is there already, or a file from this computer. */
export function KeptChip({ sort = 'picture', path, needed }: ChipProps) {
  const { project, entities, edit } = useBuild();
  const [open, setOpen] = useState(false);
  const [find, setFind] = useState('');
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string>();
  const now = text(entities, ...path);
  const kept = entityOf(entities, now, sort);
  const take = async (file: File) => {
    setProblem(undefined);
    try {
      const { id, op } = await keep(project, file, sort, words);
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
  const all = sorts[sort].all(entities).map((p) => ({ ...p, note: p.words, words: p.name, shows: p.words }));
  return (
    <Box position="relative">
      <Action aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(!open)}>
        {now ? `${sort}: ${kept?.name || 'gone'}` : `${sort} …`}
      </Action>
      {open && (
        <Pop label={capital(sort)} onClose={() => setOpen(false)}>
          <Box p="12px" w="380px">
            {all.length >= searchedFrom && (
              <Line
                aria-label={`Find a ${sort}`}
                placeholder={`find a ${sort}`}
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
                  {sorts[sort].small(`/api/project-pictures/${project}/${p.digest}`, p.shows || p.name)}
                  <Box fontSize="note" truncate>
                    {p.name}
                  </Box>
                </Box>
              ))}
            </Flex>
            {kept && <KeptTold sort={sort} id={now} kept={kept} onProblem={setProblem} />}
            {now && !needed && (
              <Action mt="8px" onClick={() => choose(undefined)}>
                no {sort}
              </Action>
            )}
            <Box fontSize="note" color="muted" mt="12px" mb="3px">
              A new one: say what it shows, for people who cannot see it.
            </Box>
            <Line aria-label="What it shows" value={words} onChange={(e) => setWords(e.target.value)} />
            <KeptFile sort={sort} label={`${capital(sort)} file`} onFile={(f) => void take(f)} />
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

const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

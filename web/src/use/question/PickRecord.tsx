import { Box } from '@chakra-ui/react';
import { useEffect, useId, useState } from 'react';
import type { Question, Title } from '../../api/client';
import { Line } from '../../ui/controls';

interface PickProps {
  pick: NonNullable<Question['pick']>;
  titles: (table: string, find: string) => Promise<Title[]>;
  onPick: (key: string) => void;
}

/** One record of a table, found by typing; arrows and Enter choose. */
export function PickRecord({ pick, titles, onPick }: PickProps) {
  const [find, setFind] = useState('');
  const [found, setFound] = useState<Title[]>();
  const [at, setAt] = useState(0);
  const [problem, setProblem] = useState(false);
  const id = useId();
  useEffect(() => {
    let gone = false;
    titles(pick.table, find).then(
      (list) => {
        if (gone) return;
        setFound(list);
        setAt(0);
      },
      () => !gone && setProblem(true),
    );
    return () => {
      gone = true;
    };
  }, [pick.table, find, titles]);
  const onKey = (e: React.KeyboardEvent) => {
    const n = found?.length ?? 0;
    const chosen = found?.[at];
    if (e.key === 'ArrowDown') setAt(Math.min(at + 1, n - 1));
    else if (e.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
    else if (e.key === 'Enter' && chosen) onPick(chosen.key);
    else return;
    e.preventDefault();
  };
  return (
    <Box mt="10px" onKeyDown={onKey}>
      <Line
        autoFocus
        role="combobox"
        aria-expanded={!!found?.length}
        aria-controls={id}
        aria-activedescendant={found?.[at] && `${id}-${found[at].key}`}
        aria-label={`Find a ${pick.one}`}
        placeholder="type to search"
        value={find}
        onChange={(e) => setFind(e.target.value)}
      />
      <Box
        id={id}
        role={found?.length ? 'listbox' : undefined}
        aria-label={found?.length ? pick.one : undefined}
        mt="6px"
        maxH="260px"
        overflowY="auto"
      >
        {found?.map((t, i) => (
          <Box
            key={t.key}
            id={`${id}-${t.key}`}
            role="option"
            aria-selected={i === at}
            px="10px"
            py="7px"
            fontWeight="600"
            cursor="pointer"
            bg={i === at ? 'plumSoft' : undefined}
            onMouseMove={() => setAt(i)}
            onClick={() => onPick(t.key)}
          >
            {t.title}
          </Box>
        ))}
      </Box>
      {!found && !problem && (
        <Box color="muted" role="status">
          looking …
        </Box>
      )}
      {problem && <Box color="brick">They cannot be read now. Try again in a moment.</Box>}
      {found?.length === 0 && <Box color="muted">No {pick.one} found by that name.</Box>}
    </Box>
  );
}

import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { put, text } from '../../../document/edit';
import { Line } from '../../../ui/controls';
import { Labelled } from '../../../ui/Labelled';
import { readCondition } from '../../condition/spot';
import { useBuild } from '../../context';

interface WordsFieldProps {
  path: string[]; // of the element
  name: string;
  label: string;
  bare?: boolean; // without the label above it
}

/** Words may hold expressions in braces; they are stored over ids, whatever aliases are called later. */
export function WordsField({ path, name, label, bare }: WordsFieldProps) {
  const { entities, edit, project, as, screen } = useBuild();
  const stored = text(entities, ...path, name);
  const element = path[2];
  const [words, setWords] = useState(stored);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    let gone = false;
    setWords(stored);
    if (stored.includes('{'))
      void readCondition({ project, as, screen, element }, { text: stored, template: true }).then(
        (r) => !gone && setWords(r.shown),
      );
    return () => {
      gone = true;
    };
  }, [stored, project, as, screen, element]);
  const save = async () => {
    const read = words.includes('{')
      ? await readCondition({ project, as, screen, element }, { text: words, template: true })
      : { stored: words, problem: undefined };
    setProblem(read.problem?.message);
    if (!read.problem && read.stored !== stored) await edit(put(entities, [...path, name], read.stored));
  };
  const field = (
    <Box w="230px">
      <Line
        aria-label={label}
        aria-invalid={!!problem || undefined}
        value={words}
        title={problem}
        onChange={(e) => setWords(e.target.value)}
        onBlur={() => void save()}
        onKeyDown={(e) => e.key === 'Enter' && void save()}
      />
      {problem && (
        <Box color="brick" role="alert">
          {problem}
        </Box>
      )}
    </Box>
  );
  return bare ? field : <Labelled label={label}>{field}</Labelled>;
}

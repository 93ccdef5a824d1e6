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
  long?: boolean; // of several lines; Ctrl and Enter keep them
}

/** Words may hold expressions in braces; they are stored over ids, whatever aliases are called later. */
export function WordsField({ path, name, label, bare, long }: WordsFieldProps) {
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
  const hands = {
    'aria-label': label,
    'aria-invalid': !!problem || undefined,
    value: words,
    title: problem,
    onChange: (e: React.ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => setWords(e.target.value),
    onBlur: () => void save(),
    onKeyDown: (e: React.KeyboardEvent) => e.key === 'Enter' && (!long || e.ctrlKey || e.metaKey) && void save(),
  };
  const field = (
    <Box w={long ? '340px' : '230px'}>
      {long ? <textarea className="entry" rows={2} {...hands} /> : <Line {...hands} />}
      {problem && (
        <Box color="brick" role="alert">
          {problem}
        </Box>
      )}
    </Box>
  );
  return bare ? field : <Labelled label={label}>{field}</Labelled>;
}

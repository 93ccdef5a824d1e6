import { Box, Flex } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import type { NameInfo } from '../../api/client';
import type { Line } from '../../document/document.gen';
import { newId, put } from '../../document/edit';
import { inOrder, type Kept, posBehind } from '../../document/parts';
import { Action } from '../../ui/controls';
import { Labelled } from '../../ui/Labelled';
import { Typed } from '../../ui/Typed';
import { NamePicker } from '../condition/NamePicker';
import { readCondition, useNames } from '../condition/spot';
import { useBuild } from '../context';
import type { BuiltElement, LookProps } from './element';
import { TypedPart } from './parts/TypedPart';
import { isNumber } from './parts/ValuePart';

export const trend: BuiltElement<'trend'> = { tall: true, words: (e) => e.words, Look: TrendLook };

const most = 6; // lines

/** What a trend draws, and over how long. */
function TrendLook({ path, element: e }: LookProps<'trend'>) {
  const { project, as, screen, entities, edit } = useBuild();
  const spot = { project, as, screen, element: path[2] };
  const names = useNames(spot);
  const lines = inOrder(e.lines);
  const add = async (n: NameInfo) => {
    const { stored, problem } = await readCondition(spot, { text: n.path, value: true });
    if (problem) return;
    const line: Line = {
      pos: posBehind(lines),
      words: n.words,
      value: stored,
      max: 100,
      ...(n.unit ? { unit: n.unit } : {}),
    };
    await edit(put(entities, [...path, 'lines', newId('l')], line));
  };
  return (
    <>
      <TypedPart path={path} name="words" label="Words" value={e.words} needed />
      <TypedPart path={path} name="minutes" label="Minutes" value={e.minutes} number needed />
      <Labelled label="Lines">
        {lines.map((l) => (
          <TrendLine key={l.id} line={l} path={[...path, 'lines', l.id]} alone={lines.length === 1} />
        ))}
        {lines.length < most && (
          <NamePicker
            spot={spot}
            names={names.data ?? []}
            only={(n) => n.kind === 'live' && isNumber(n)}
            label="Line to add"
            words="+ a line"
            onChoose={(n) => void add(n)}
          />
        )}
      </Labelled>
    </>
  );
}

function TrendLine({ line: l, path, alone }: { line: Kept<Line>; path: string[]; alone: boolean }) {
  const { project, as, screen, entities, edit } = useBuild();
  const read = useQuery({
    queryKey: ['phrase', project, screen, path[2], l.value],
    queryFn: () => readCondition({ project, as, screen, element: path[2] }, { text: l.value, value: true }),
  });
  const set = (name: keyof Line, value: string | number | undefined) =>
    void edit(put(entities, [...path, name], value));
  const number = (name: 'max' | 'limit') => (typed: string) => {
    if (typed === '' && name === 'limit') set(name, undefined);
    else if (typed !== '' && Number.isFinite(Number(typed))) set(name, Number(typed));
  };
  return (
    <Flex gap="6px" align="center" mb="4px">
      <Typed label={`Words of ${l.words}`} width="130px" value={l.words} onSave={(v) => v && set('words', v)} />
      <Box color="muted" maxW="200px" truncate title={read.data?.phrase}>
        {read.data?.problem?.message ?? read.data?.phrase}
      </Box>
      up to <Typed label={`Top of ${l.words}`} width="64px" value={String(l.max)} onSave={number('max')} />
      limit
      <Typed
        label={`Limit of ${l.words}`}
        width="64px"
        hint="none"
        value={String(l.limit ?? '')}
        onSave={number('limit')}
      />
      {!alone && (
        <Action tone="quiet" aria-label={`Remove ${l.words}`} onClick={() => void edit(put(entities, path, undefined))}>
          ✕
        </Action>
      )}
    </Flex>
  );
}

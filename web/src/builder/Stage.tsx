import { Box, Flex } from '@chakra-ui/react';
import { useCallback, useMemo, useRef, useState } from 'react';
import { type AtWork, api, ask } from '../api/client';
import { type ScreenHands, ScreenProvider } from '../screen/context';
import { RailedSheet } from '../screen/RailedSheet';
import type { DrawerHands } from '../screen/rails/useDrawers';
import type { Arrangement, Pressed } from '../trail/asking';
import { Action } from '../ui/controls';
import { useSteady } from '../ui/useSteady';
import { QuestionDialog } from '../use/QuestionDialog';
import { useBuild } from './context';
import { NewElement } from './NewElement';
import { Scaled, type StageWidth } from './StageWidth';
import type { usePractice } from './usePractice';

interface StageProps {
  as: string;
  work: AtWork;
  numbers: Record<string, number>;
  practice: ReturnType<typeof usePractice>;
  values: Record<string, string>;
  onType: (field: string, value: string) => void;
  onArrange: (change: Arrangement) => void;
  width: StageWidth;
  drawers: DrawerHands;
}

/** The screen itself, live: the same components, records and tags as in use. */
export function Stage({ as, work, numbers, practice, values, onType, onArrange, width, drawers }: StageProps) {
  const { project, chosen, choose, pointed, point, setPicker, journal } = useBuild();
  const box = useRef<HTMLDivElement>(null);
  const [cell, setCell] = useState<{ row: number; col: number }>();
  const titles = useCallback(
    (table: string, q: string) =>
      ask(api.GET('/api/build/{project}/records/{table}', { params: { path: { project, table }, query: { as, q } } })),
    [project, as],
  );
  const more = useSteady((element: string, cursor: string, back: boolean) => {
    const { screen, place } = work.view ?? { screen: '', place: undefined };
    const { inputs, mode, set, filters, sort, find, tabs, vars } = place ?? {};
    const body = {
      work: { screen, as, journal, inputs, mode, set, filters, sort, find, tabs, vars },
      element,
      cursor,
      back,
    };
    return ask(api.POST('/api/build/{project}/work/rows', { params: { path: { project } }, body }));
  });
  const press = useSteady<Parameters<ScreenHands['onPress']>, Promise<Pressed>>(practice.press);
  const type = useSteady(onType);
  const arrange = useSteady(onArrange);
  const builder = useMemo(
    () => ({
      onChoose: choose,
      onPoint: point,
      onEmptyCell: (row: number, col: number) => setCell({ row, col }),
    }),
    [choose, point],
  );
  const { view } = work;
  const hands = useMemo(
    (): ScreenHands | undefined =>
      view && {
        view,
        base: '',
        pictures: `/api/project-pictures/${project}/`,
        onType: type,
        onPress: press,
        onArrange: arrange,
        more,
        titles,
        trend: noSamples,
        drawers,
        builder,
      },
    [view, project, type, press, arrange, more, titles, drawers, builder],
  );
  const typed = useMemo(() => ({ values, errors: practice.errors }), [values, practice.errors]);
  const marks = useMemo(() => ({ chosen, lit: pointed, numbers }), [chosen, pointed, numbers]);
  if (!hands) return <NotEntered work={work} />;
  return (
    <ScreenProvider hands={hands} typed={typed} busy={practice.busy} marks={marks}>
      <Box
        ref={box}
        data-stage
        flex="1"
        minH={0}
        overflow="auto"
        bg="paper"
        borderWidth="1px"
        borderColor="rule"
        borderRadius="6px"
        boxShadow="0 1px 3px rgba(32,38,46,0.12)"
      >
        <Scaled box={box} width={width}>
          <RailedSheet rails={hands.view.rails} />
        </Scaled>
      </Box>
      <PracticeLine practice={practice} />
      {practice.asked && (
        <QuestionDialog
          question={practice.asked.question}
          onAnswer={practice.answer}
          onClose={practice.dismiss}
          titles={titles}
        />
      )}
      {cell && (
        <NewElement
          cell={cell}
          onClose={(made) => {
            setCell(undefined);
            if (!made) return;
            choose(made);
            setPicker('target');
          }}
        />
      )}
    </ScreenProvider>
  );
}

const noSamples = async () => ({});

/** Says that nothing is kept, while something was practised. */
function PracticeLine({ practice }: { practice: ReturnType<typeof usePractice> }) {
  if (!practice.said && practice.count === 0) return null;
  return (
    <Flex
      role="status"
      align="center"
      gap="12px"
      fontSize="note"
      bg="amberSoft"
      color="amberText"
      fontWeight="600"
      px="12px"
      minH="34px"
      mt="6px"
      borderRadius="4px"
    >
      <Box flex="1">
        {practice.said}
        {practice.count > 0 &&
          ` ${practice.count} ${practice.count === 1 ? 'press' : 'presses'} practised; nothing is kept.`}
      </Box>
      {practice.count > 0 && (
        <Action minH="26px" onClick={practice.forget}>
          Start afresh
        </Action>
      )}
      {practice.said && practice.count === 0 && (
        <Action minH="26px" tone="quiet" aria-label="Dismiss" onClick={() => practice.setSaid(undefined)}>
          ×
        </Action>
      )}
    </Flex>
  );
}

function NotEntered({ work }: { work: AtWork }) {
  const refused = work.refused;
  return (
    <Flex
      data-stage
      flex="1"
      direction="column"
      justify="center"
      align="center"
      textAlign="center"
      bg="plate"
      borderWidth="1px"
      borderColor="rule"
      borderRadius="6px"
      p="24px"
      gap="8px"
    >
      <Box fontSize="head" fontWeight="800" maxW="460px">
        {refused ? refused.what : `${work.user} has no record to stand on here.`}
      </Box>
      <Box color="muted" maxW="460px">
        {refused
          ? `So it is for ${work.user}. It can be entered by ${work.entered}. Walk as one of them to see it at work; its ways can be chosen in the margin all the same.`
          : `It needs: ${work.needs?.map((n) => n.label.toLowerCase()).join(', ') ?? 'a record'}.`}
      </Box>
    </Flex>
  );
}

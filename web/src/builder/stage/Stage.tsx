import { Box, Flex } from '@chakra-ui/react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type AtWork, api, ask } from '../../api/client';
import { type ScreenHands, ScreenProvider } from '../../screen/context';
import { RailedSheet } from '../../screen/RailedSheet';
import type { DrawerHands } from '../../screen/rails/useDrawers';
import type { Arrangement, Pressed } from '../../trail/asking';
import { Action } from '../../ui/controls';
import { dressSheet } from '../../ui/theme/style';
import { useSteady } from '../../ui/useSteady';
import { QuestionDialog } from '../../use/question/QuestionDialog';
import { useBuild } from '../context';
import { type EmptyCell, NewElement } from './NewElement';
import { NotEntered } from './NotEntered';
import { PracticeLine } from './PracticeLine';
import { Scaled, type StageWidth } from './StageWidth';
import type { Practice } from './usePractice';
import { usePutPicture } from './usePutPicture';

interface StageProps {
  as: string;
  work: AtWork;
  pointed: string | undefined; // element
  numbers: Record<string, number>;
  practice: Practice;
  values: Record<string, string>;
  onType: (field: string, value: string) => void;
  onArrange: (change: Arrangement) => void;
  width: StageWidth;
  drawers: DrawerHands;
}

/** The screen itself, live: the same components, records and tags as in use. */
export function Stage({ as, work, pointed, numbers, practice, values, onType, onArrange, width, drawers }: StageProps) {
  const { project, chosen, several, choose, chooseAlso, point, setPicker, journal } = useBuild();
  const pick = useSteady((id: string, also: boolean) => (also ? chooseAlso(id) : choose(id)));
  const putting = usePutPicture();
  const box = useRef<HTMLDivElement>(null);
  const [cell, setCell] = useState<EmptyCell>();
  const titles = useCallback(
    (table: string, q: string) =>
      ask(api.GET('/api/build/{project}/records/{table}', { params: { path: { project, table }, query: { as, q } } })),
    [project, as],
  );
  const params = { path: { project } };
  const here = () => {
    const { screen, place } = work.view ?? { screen: '', place: undefined };
    const { inputs, mode, set, filters, sort, find, tabs, vars } = place ?? {};
    return { screen, as, journal, inputs, mode, set, filters, sort, find, tabs, vars };
  };
  const more = useSteady((element: string, cursor: string, back: boolean) =>
    ask(api.POST('/api/build/{project}/work/rows', { params, body: { work: here(), element, cursor, back } })),
  );
  const trend = useSteady((element: string) =>
    ask(api.POST('/api/build/{project}/work/trend', { params, body: { work: here(), element } })),
  );
  const press = useSteady<Parameters<ScreenHands['onPress']>, Promise<Pressed>>(practice.press);
  const type = useSteady(onType);
  const arrange = useSteady(onArrange);
  const builder = useMemo(
    () => ({
      onChoose: pick,
      onPoint: point,
      onEmptyCell: setCell,
    }),
    [pick, point],
  );
  const { view } = work;
  const hands = useMemo(
    (): ScreenHands => ({
      base: '',
      pictures: `/api/project-pictures/${project}/`,
      onType: type,
      onPress: press,
      onArrange: arrange,
      more,
      titles,
      trend,
      drawers,
      builder,
    }),
    [project, type, press, arrange, more, titles, trend, drawers, builder],
  );
  const typed = useMemo(() => ({ values, errors: practice.errors }), [values, practice.errors]);
  const marks = useMemo(() => ({ chosen, several, lit: pointed, numbers }), [chosen, several, pointed, numbers]);
  // What was just put somewhere is to be seen.
  const made = useRef<string>(undefined);
  useEffect(() => {
    const at = made.current && box.current?.querySelector(`[data-element="${made.current}"]`);
    if (!at) return;
    at.scrollIntoView({ block: 'center' });
    made.current = undefined;
  });
  if (!view) return <NotEntered work={work} />;
  return (
    <ScreenProvider view={view} hands={hands} typed={typed} busy={practice.busy} marks={marks}>
      <style>{dressSheet(view, '[data-stage]')}</style>
      <Box
        ref={box}
        data-stage
        {...putting.hands}
        className={view.appearance}
        flex="1"
        minH={0}
        overflow="auto"
        bg="paper"
        borderWidth="1px"
        borderColor="rule"
        borderRadius="6px"
        boxShadow="sm"
      >
        <Scaled box={box} width={width}>
          <RailedSheet rails={view.rails} />
        </Scaled>
      </Box>
      {putting.problem && (
        <Flex role="alert" color="brick" fontWeight="600" fontSize="note" gap="10px" align="center">
          {putting.problem}
          <Action minH="24px" onClick={putting.dismiss}>
            Dismiss
          </Action>
        </Flex>
      )}
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
          onClose={(put) => {
            setCell(undefined);
            if (!put) return;
            made.current = put.element;
            choose(put.element);
            if (put.kind === 'button') setPicker('target');
          }}
        />
      )}
    </ScreenProvider>
  );
}

import { Box } from '@chakra-ui/react';
import { useEffect, useMemo, useState } from 'react';
import { useBlocker } from 'react-router';
import { api, ask, Refused, type View } from '../api/client';
import { type ScreenHands, ScreenProvider } from '../screen/context';
import { ScreenSheet } from '../screen/ScreenSheet';
import { QuestionDialog } from './QuestionDialog';
import { usePress } from './usePress';
import type { TrailHands } from './useTrail';

interface UsedScreenProps {
  project: string;
  trail: TrailHands;
  view: View;
  overlay?: boolean;
  headingRef?: React.Ref<HTMLHeadingElement>;
}

/** One screen in use: what is typed on it, its presses, and the questions they ask. */
export function UsedScreen({ project, trail, view, overlay = false, headingRef }: UsedScreenProps) {
  const [values, setValues] = useState<Record<string, string>>({});
  const base = useBase(view);
  const form = useMemo(() => ({ values, base: pick(base.values, values), version: base.version }), [values, base]);
  const press = usePress(project, trail, form, overlay);
  const dirty = Object.keys(values).length > 0;
  useLeaveQuestion(dirty);
  const { shown } = trail;
  const hands: ScreenHands = {
    view,
    busy: press.busy,
    values,
    errors: press.errors,
    base: `/use/${project}`,
    onType: (field, value) =>
      setValues((v) => (value === base.values[field] ? omit(v, field) : { ...v, [field]: value })),
    onPress: press.press,
    onArrange: async (change) => {
      if (!shown) return;
      try {
        trail.show(
          await trail.insist(() =>
            ask(
              api.POST('/api/use/{project}/arrange', {
                params: { path: { project } },
                body: { trail: shown.trail, n: shown.n, overlay, ...change },
              }),
            ),
          ),
        );
      } catch (e) {
        if (!(e instanceof Refused)) throw e;
        press.setSaid({ words: `${e.problem.what} ${e.problem.then ?? ''}`, bad: true });
      }
    },
    more: (element, after) =>
      ask(
        api.POST('/api/use/{project}/rows', {
          params: { path: { project } },
          body: { trail: shown?.trail ?? '', n: shown?.n ?? 0, overlay, element, after },
        }),
      ),
    titles: (table, q) =>
      ask(api.GET('/api/use/{project}/titles/{table}', { params: { path: { project, table }, query: { q } } })),
    trend: (element) =>
      ask(
        api.GET('/api/use/{project}/trend', {
          params: { path: { project }, query: { trail: shown?.trail ?? '', n: shown?.n ?? 0, element } },
        }),
      ),
  };
  return (
    <ScreenProvider value={hands}>
      <ScreenSheet headingRef={headingRef} />
      {press.said && (
        <Box
          role="status"
          position="fixed"
          bottom="18px"
          left="50%"
          transform="translateX(-50%)"
          maxW="90vw"
          px="16px"
          py="10px"
          bg={press.said.bad ? 'brick' : 'pine'}
          color="white"
          fontWeight="600"
          borderRadius="4px"
          zIndex="toast"
        >
          {press.said.words}
          <Box
            as="button"
            aria-label="Dismiss"
            ml="12px"
            fontWeight="800"
            cursor="pointer"
            onClick={() => press.setSaid(undefined)}
          >
            ×
          </Box>
        </Box>
      )}
      {press.asked && (
        <QuestionDialog question={press.asked.question} onAnswer={press.answer} onClose={press.dismiss} />
      )}
    </ScreenProvider>
  );
}

/** What the fields were when the form was opened: kept while it is open, whatever comes in later. */
function useBase(view: View) {
  const [base] = useState(() => ({
    version: view.record?.version,
    values: Object.fromEntries(view.elements.flatMap((e) => (e.field ? [[e.field.path, e.field.value]] : []))),
  }));
  return base;
}

function pick(from: Record<string, string>, keys: Record<string, string>) {
  return Object.fromEntries(Object.keys(keys).map((k) => [k, from[k] ?? '']));
}

function omit(from: Record<string, string>, key: string) {
  const { [key]: _, ...rest } = from;
  return rest;
}

/** The browser asks before the page is left with something typed on it. */
function useLeaveQuestion(dirty: boolean) {
  const blocker = useBlocker(({ historyAction }) => dirty && historyAction === 'POP');
  useEffect(() => {
    if (blocker.state !== 'blocked') return;
    if (window.confirm('What you typed here is not saved. Leave it?')) blocker.proceed();
    else blocker.reset();
  }, [blocker]);
  useEffect(() => {
    if (!dirty) return;
    const hold = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener('beforeunload', hold);
    return () => window.removeEventListener('beforeunload', hold);
  }, [dirty]);
}

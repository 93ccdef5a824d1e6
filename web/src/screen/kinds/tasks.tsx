import { Box, Flex } from '@chakra-ui/react';
import { useScreen } from '../context';
import type { ElementKind, OfKind } from './kind';

/** Guided tasks: which can be begun, which were, and which are done; each is a way to where it is done. */
export const tasks: ElementKind<'tasks'> = { Draw: Tasks };

type Task = OfKind<'tasks'>['tasks']['tasks'][number];

const marks: Record<Task['state'], string> = { open: '○', begun: '◐', done: '✓', unknown: '?' };

function Tasks({ element }: { element: OfKind<'tasks'> }) {
  const { onPress, base, builder, view } = useScreen();
  const { words, tasks: all } = element.tasks;
  return (
    <Box as="section" aria-label={words || 'Tasks'}>
      {words && (
        <Box fontWeight="700" mb="4px">
          {words}
        </Box>
      )}
      {all.length === 0 && <Box color="muted">Nothing is to be done here.</Box>}
      <Box as="ul" css={{ listStyle: 'none' }}>
        {all.map((t) => {
          const href = t.shut || builder || !t.href ? undefined : base + t.href;
          const press = (e: React.MouseEvent) => {
            if (href && (e.ctrlKey || e.metaKey || e.shiftKey || e.button !== 0)) return;
            e.preventDefault();
            if (!t.shut) void onPress(element, { trigger: `task.${t.id}` });
          };
          return (
            <Box as="li" key={t.id} borderTopWidth="1px" borderColor="rule">
              <Flex asChild align="center" gap="10px" minH="44px" w="full" textAlign="left">
                {href ? (
                  <a href={href} onClick={press}>
                    <Line task={t} language={view.language} />
                  </a>
                ) : (
                  <button type="button" aria-disabled={t.shut || undefined} onClick={press}>
                    <Line task={t} language={view.language} />
                  </button>
                )}
              </Flex>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

function Line({ task: t, language = 'en' }: { task: Task; language: string | undefined }) {
  const note = t.state === 'begun' ? begunWords(t, language) : t.state === 'done' ? 'done' : t.reason;
  return (
    <>
      <Box
        as="span"
        aria-hidden
        w="18px"
        color={t.state === 'done' ? 'pine' : t.state === 'begun' ? 'amberText' : 'muted'}
      >
        {marks[t.state]}
      </Box>
      <Box
        as="span"
        fontWeight="700"
        color={t.shut ? 'muted' : 'ink'}
        textDecoration={t.shut ? undefined : 'underline'}
        textDecorationColor="rule"
        textUnderlineOffset="3px"
      >
        {t.words}
      </Box>
      {note && (
        <Box as="span" fontSize="note" color="muted">
          {note}
        </Box>
      )}
    </>
  );
}

const minute = 60_000; // ms

/** Where a task stands, and since when: step 2 of 3, yesterday. */
export function begunWords(t: Pick<Task, 'step' | 'of' | 'since'>, language: string, now = Date.now()): string {
  const at = t.of ? `step ${t.step} of ${t.of}, ` : '';
  const rel = new Intl.RelativeTimeFormat(language, { numeric: 'auto' });
  const ago = now - (t.since ?? now);
  const day = (ms: number) => new Date(ms).setHours(0, 0, 0, 0);
  const days = Math.round((day(t.since ?? now) - day(now)) / (24 * 60 * minute));
  if (days < 0) return at + rel.format(days, 'day');
  if (ago < minute) return `${at}just now`;
  if (ago < 60 * minute) return at + rel.format(-Math.round(ago / minute), 'minute');
  return at + rel.format(-Math.round(ago / (60 * minute)), 'hour');
}

import { Box, Flex } from '@chakra-ui/react';
import { PanelLeft, Redo2, Search, Undo2 } from 'lucide-react';
import type { Draft } from '../api/client';
import { isReleasable } from '../document/project';
import { Action } from '../ui/controls';
import type { DraftHands } from './useDraft';
import { toMend } from './whole/findings';

interface HeaderProps {
  hands: DraftHands;
  draft: Draft;
  view: View;
  onView: (view: View) => void;
  listed: boolean; // the list of screens is open
  onScreens: () => void;
  onFind: () => void;
  children: React.ReactNode; // walking as
}

/** The one bar of the builder: what is built and its state at the left, whom one walks as at the right. */
export function Header({ hands, draft, view, onView, listed, onScreens, onFind, children }: HeaderProps) {
  return (
    <Flex
      as="header"
      align="center"
      gap="8px"
      px="14px"
      h="46px"
      bg="plate"
      borderBottomWidth="1px"
      borderColor="rule"
      flexShrink={0}
    >
      <Action
        tone="quiet"
        px="6px"
        aria-label="List of screens"
        aria-expanded={listed}
        title="All screens (Ctrl+B)"
        onClick={onScreens}
      >
        <PanelLeft size={17} aria-hidden />
      </Action>
      <Box asChild flexShrink={0}>
        <a href="/" aria-label="All applications">
          <img src="/gate.svg" alt="" width="26" height="26" />
        </a>
      </Box>
      <Box fontWeight="800" truncate minW="64px" flexShrink={1} title={draft.title}>
        {draft.title}
      </Box>
      <Box
        fontSize="note"
        color="muted"
        whiteSpace="nowrap"
        aria-live="polite"
        minW="0"
        flexShrink={1000}
        overflow="hidden"
        textOverflow="ellipsis"
        title={`${hands.busy ? 'saving' : 'saved'}; ${sinceRelease(draft)}`}
      >
        {hands.busy ? 'saving …' : sinceRelease(draft)}
      </Box>
      <Flex as="nav" aria-label="Parts of the builder" gap="0" mx="2px" flexShrink={0}>
        {views.map(([id, words]) => (
          <Box
            as="button"
            key={id}
            aria-current={view === id ? 'page' : undefined}
            onClick={() => onView(id)}
            px="7px"
            h="45px"
            whiteSpace="nowrap"
            fontSize="text"
            fontWeight="700"
            color={view === id ? 'ink' : 'muted'}
            borderBottomWidth="3px"
            borderColor={view === id ? 'amber' : 'transparent'}
            cursor="pointer"
            _hover={{ color: 'ink' }}
          >
            {words}
            {id === 'findings' && <Count draft={draft} />}
          </Box>
        ))}
      </Flex>
      <Action
        tone="quiet"
        px="6px"
        onClick={() => hands.undo.mutate()}
        disabled={!draft.undo || hands.busy}
        aria-label="Undo"
        title="Undo my last edit (Ctrl+Z)"
      >
        <Undo2 size={17} aria-hidden />
      </Action>
      <Action
        tone="quiet"
        px="6px"
        onClick={() => hands.redo.mutate()}
        disabled={!draft.redo || hands.busy}
        aria-label="Redo"
        title="Redo (Ctrl+Shift+Z)"
      >
        <Redo2 size={17} aria-hidden />
      </Action>
      <Action
        tone="quiet"
        px="6px"
        onClick={onFind}
        aria-label="Find"
        title="Find a screen (Ctrl+K)"
        whiteSpace="nowrap"
      >
        <Search size={17} aria-hidden />
      </Action>
      <Box flex="1" />
      {children}
      <Action
        tone="main"
        whiteSpace="nowrap"
        flexShrink={0}
        onClick={() => onView('releases')}
        disabled={!isReleasable(draft) || hands.release.isPending}
        title="What users will get, before they do"
      >
        Release …
      </Action>
    </Flex>
  );
}

/** How many findings there are that nobody lives with. */
function Count({ draft }: { draft: Draft }) {
  const open = toMend(draft);
  if (open.length === 0) return null;
  const broken = open.some((f) => f.severity === 'broken');
  return (
    <Box
      as="span"
      ml="5px"
      bg={broken ? 'brick' : 'amber'}
      color={broken ? 'white' : 'onAmber'}
      _dark={{ color: 'onAmber' }}
      borderRadius="9px"
      px="6px"
      fontSize="12px"
      lineHeight="18px"
      display="inline-block"
    >
      {open.length}
    </Box>
  );
}

export type View = 'screen' | 'map' | 'reach' | 'findings' | 'walks' | 'data' | 'releases';

const views: [View, string][] = [
  ['screen', 'Screen'],
  ['map', 'Map'],
  ['reach', 'Reach'],
  ['findings', 'Findings'],
  ['walks', 'Walks'],
  ['data', 'Data'],
  ['releases', 'Releases'],
];

/** The view that an address names: the Screen view where it names none. */
export function viewOf(name: string | undefined): View {
  return views.find(([id]) => id === name)?.[0] ?? 'screen';
}

/** What a view is called. */
export function titleOf(view: View): string {
  return views.find(([id]) => id === view)?.[1] ?? '';
}

function sinceRelease(d: Draft): string {
  const newest = d.trial ?? d.released;
  if (newest === 0) return 'not released yet';
  if (d.changes === 0) return `release ${newest}, no changes since`;
  return `${d.changes} ${d.changes === 1 ? 'change' : 'changes'} since release ${newest}`;
}

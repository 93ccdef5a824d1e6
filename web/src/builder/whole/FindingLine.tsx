import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Finding } from '../../api/client';
import { newId } from '../../document/edit';
import { entitiesOf, entityOf } from '../../document/parts';
import { dataPageOf, placeOf } from '../../document/project';
import { Action, Line } from '../../ui/controls';
import { useWhole } from './context';
import { acceptance, checkWords } from './findings';

const looks: Record<string, [mark: string, color: string]> = {
  broken: ['✕', 'brick'],
  doubtful: ['?', 'amberText'],
  note: ['·', 'muted'],
};

/** One finding: what, where, what it rests on; its mends, and that somebody lives with it. */
export function FindingLine({ finding: f }: { finding: Finding }) {
  const { draft, edit, openScreen, openData, openReach } = useWhole();
  const [accepting, setAccepting] = useState(false);
  const screen = entityOf(draft.entities, f.screen, 'screen');
  const where = screen && !(f.entity && f.check !== 'expectation') ? screen.title : placeOf(draft.entities, f.entity);
  const open = () => {
    if (f.check === 'expectation' && f.screen) openReach(f.screen);
    else if (f.screen) openScreen(f.screen, f.element);
    else openData(dataPageOf(draft.entities, f.entity));
  };
  const [mark, color] = looks[f.severity] ?? ['', 'muted'];
  return (
    <Flex
      as="article"
      aria-label={f.words}
      gap="12px"
      py="9px"
      borderBottomWidth="1px"
      borderColor="rule"
      opacity={f.accepted ? 0.85 : 1}
    >
      <Box color={color} fontWeight="800" w="14px" textAlign="center" aria-hidden="true">
        {mark}
      </Box>
      <Box w="180px" flexShrink={0}>
        <Box
          as="button"
          textAlign="left"
          fontWeight="700"
          cursor="pointer"
          textDecoration="underline"
          onClick={open}
          title="Open the place"
        >
          {where}
        </Box>
        <Box fontSize="note" color="muted">
          {checkWords(f.check)}
        </Box>
      </Box>
      <Box flex="1" minW={0}>
        <Box fontWeight="600">{f.words}</Box>
        {f.evidence && (
          <Box fontSize="note" color="muted">
            {f.evidence}
          </Box>
        )}
        {f.before && (
          <Box fontSize="note" color="amberText">
            It was accepted because “{f.before}”; it says something else now.
          </Box>
        )}
        {f.accepted && (
          <Box fontSize="note">
            Accepted because “{f.accepted.because}”, by {f.accepted.by}, {new Date(f.accepted.at).toLocaleDateString()}.
          </Box>
        )}
        {accepting && (
          <AcceptForm
            onClose={() => setAccepting(false)}
            onAccept={(because) => {
              const pos = 1 + Math.max(0, ...entitiesOf(draft.entities, 'acceptance').map((a) => a.pos));
              void edit([acceptance(newId('ac'), f, because, draft.me, pos)]);
            }}
          />
        )}
      </Box>
      <Flex direction="column" gap="4px" align="flex-end" flexShrink={0} maxW="240px">
        {!f.accepted &&
          f.mends?.map((m) => (
            <Action key={m.words} minH="28px" onClick={() => (m.patch ? void edit(m.patch) : open())}>
              {m.words}
            </Action>
          ))}
        {f.accepted ? (
          <Action tone="quiet" minH="28px" onClick={() => void edit([{ op: 'remove', path: `/${f.accepted?.id}` }])}>
            not accepted any more
          </Action>
        ) : (
          !accepting && (
            <Action tone="quiet" minH="28px" onClick={() => setAccepting(true)}>
              accept because …
            </Action>
          )
        )}
      </Flex>
    </Flex>
  );
}

function AcceptForm({ onAccept, onClose }: { onAccept: (because: string) => void; onClose: () => void }) {
  const [because, setBecause] = useState('');
  return (
    <Flex
      as="form"
      gap="8px"
      mt="6px"
      onSubmit={(e: React.FormEvent) => {
        e.preventDefault();
        if (because.trim()) onAccept(because.trim());
      }}
      onKeyDown={(e) => e.key === 'Escape' && onClose()}
    >
      <Line
        autoFocus
        aria-label="Accepted because"
        placeholder="why it is good as it is"
        value={because}
        maxLength={300}
        onChange={(e) => setBecause(e.target.value)}
      />
      <Action type="submit" disabled={!because.trim()}>
        Accept
      </Action>
      <Action type="button" tone="quiet" onClick={onClose}>
        Cancel
      </Action>
    </Flex>
  );
}

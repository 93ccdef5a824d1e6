import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Finding } from '../../api/client';
import { entityOf } from '../../document/parts';
import { Action } from '../../ui/controls';
import { Tick } from '../../ui/Tick';
import { useWhole } from './context';
import { FindingLine } from './FindingLine';
import { checkWords, keyOf, mendsForSeveral, openFindings, type Shown, shownFindings } from './findings';
import { Narrow } from './Narrow';

const severities: [id: Finding['severity'], words: string, means: string][] = [
  ['broken', 'Broken', 'does not work'],
  ['doubtful', 'Doubtful', 'may be meant'],
  ['note', 'Worth knowing', 'works, and could be better'],
];

const many = 100; // findings of one kind that are drawn at once

/** All that the checks found: by how bad it is, each with its evidence, its place and its mends. */
export function FindingsPage() {
  const { draft, edit } = useWhole();
  const [shown, setShown] = useState<Shown>({ severity: '', check: '', screen: '', accepted: false });
  const [whole, setWhole] = useState(false);
  const found = shownFindings(draft.findings, shown);
  const accepted = draft.findings.length - openFindings(draft).length;
  const checks = [...new Set(draft.findings.map((f) => f.check))].sort();
  const screens = [...new Set(draft.findings.map((f) => f.screen).filter(Boolean))]
    .map((id) => ({ id, title: entityOf(draft.entities, id, 'screen')?.title ?? id }))
    .sort((a, b) => a.title.localeCompare(b.title));
  const pick = (part: 'severity' | 'check' | 'screen', label: string, all: string, options: [string, string][]) => (
    <Narrow
      label={label}
      all={all}
      options={options}
      value={shown[part]}
      onChange={(to) => setShown({ ...shown, [part]: to })}
    />
  );
  return (
    <Box as="main" flex="1" minW={0} overflowY="auto" p="14px 22px">
      <Box maxW="1080px">
        <Flex align="baseline" gap="12px" minH="30px">
          <Box as="h1" fontSize="head" fontWeight="800">
            Findings
          </Box>
          <Box fontSize="note" color="muted" aria-live="polite">
            {draft.checking ? 'checking …' : `proven without running it; ${found.length} shown`}
          </Box>
        </Flex>
        <Flex gap="8px" wrap="wrap" align="center" mt="6px" mb="8px">
          {pick(
            'severity',
            'How bad',
            'however bad',
            severities.map(([id, words]) => [id, words.toLowerCase()]),
          )}
          {pick(
            'check',
            'Which check',
            'all checks',
            checks.map((c) => [c, checkWords(c)]),
          )}
          {pick(
            'screen',
            'On which screen',
            'all screens',
            screens.map((s) => [s.id, s.title]),
          )}
          {accepted > 0 && (
            <Tick
              words={`also the ${accepted} accepted`}
              on={shown.accepted}
              onTick={() => setShown({ ...shown, accepted: !shown.accepted })}
            />
          )}
          <Box flex="1" />
          {mendsForSeveral(found).map((s) => (
            <Action key={s.check + s.words} onClick={() => void edit(s.patch)}>
              {s.words}, for all {s.count} of “{checkWords(s.check)}”
            </Action>
          ))}
        </Flex>
        {found.length === 0 && (
          <Box color="muted" py="24px">
            {draft.findings.length === 0
              ? 'The checks found nothing: every way opens what it says, everybody finds back, and all that is expected holds.'
              : accepted === draft.findings.length && !shown.accepted
                ? 'Nothing that is not accepted.'
                : 'Nothing of that kind.'}
          </Box>
        )}
        {severities.map(([id, words, means]) => {
          const of = found.filter((f) => f.severity === id);
          if (of.length === 0) return null;
          return (
            <Box as="section" key={id} aria-label={words} mb="18px">
              <Flex align="baseline" gap="10px" pb="4px" borderBottomWidth="2px" borderColor="ink">
                <Box as="h2" fontWeight="800">
                  {words}{' '}
                  <Box as="span" fontWeight="500">
                    {of.length}
                  </Box>
                </Box>
                <Box fontSize="note" color="muted">
                  {means}
                </Box>
              </Flex>
              {(whole ? of : of.slice(0, many)).map((f) => (
                <FindingLine key={keyOf(f)} finding={f} />
              ))}
              {!whole && of.length > many && (
                <Action mt="8px" onClick={() => setWhole(true)}>
                  Show the other {of.length - many}
                </Action>
              )}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

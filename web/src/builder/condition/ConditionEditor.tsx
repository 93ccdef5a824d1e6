import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import type { ConditionRead, Rows } from '../../api/client';
import { Action } from '../../ui/controls';
import { ConditionText } from './ConditionText';
import { isComplete } from './compares';
import { hasRows, RowGroup } from './RowGroup';
import { type Share, ShareForm } from './ShareForm';
import { readCondition, type Spot, useNames } from './spot';

interface EditorProps {
  spot: Spot;
  stored: string; // "" for none yet
  lead?: string;
  none?: string; // what taking it away is called; without it, it cannot be
  share?: Share;
  onSave: (stored: string | undefined) => void;
  onClose?: () => void;
}

const noRows: Rows = { mode: 'all', rows: [] };

/** A condition as rows of field, comparison and value, or as text: two views of one tree. */
export function ConditionEditor({ spot, stored, lead = 'while', none, share, onSave, onClose }: EditorProps) {
  const names = useNames(spot);
  const [read, setRead] = useState<ConditionRead>();
  const [asText, setAsText] = useState(false);
  const [rows, setRows] = useState<Rows>(noRows);
  const [text, setText] = useState('');
  const { project, as, screen, element, table, use } = spot;
  // What is stored is read once, when the editor opens.
  useEffect(() => {
    if (!stored) return;
    readCondition({ project, as, screen, element, table, use }, { text: stored }).then((r) => {
      setRead(r);
      setText(r.shown);
      if (r.rows) setRows(r.rows);
      else setAsText(true);
    });
  }, [project, as, screen, element, table, use, stored]);
  const check = async (what: { text?: string; rows?: Rows }) => {
    const r = await readCondition(spot, what);
    setRead(r);
    return r;
  };
  const changeRows = (next: Rows) => {
    setRows(next);
    if (hasRows(next) && next.rows.every(isComplete)) void check({ rows: next }).then((r) => setText(r.shown));
    else setRead(undefined);
  };
  const turn = () => {
    if (asText && read?.rows) setRows(read.rows);
    setAsText(!asText);
  };
  const unfinished = !asText && !rows.rows.every(isComplete);
  const nothing = asText ? text.trim() === '' : !hasRows(rows);
  const save = async () => {
    if (nothing) return onSave(undefined);
    const r = await check(asText ? { text } : { rows });
    if (!r.problem) onSave(r.stored);
  };
  const stuck = asText && !nothing && !read?.rows;
  return (
    <Box p="12px 14px" w="720px" maxW="90vw" maxH="68vh" overflowY="auto">
      <Flex justify="flex-end" align="center" mb="-28px">
        {stuck && !read?.problem && (
          <Box fontSize="note" color="muted" mr="8px">
            Rows cannot show this; it stays text.
          </Box>
        )}
        <Action tone="quiet" minH="28px" onClick={turn} disabled={stuck}>
          {asText ? 'as rows' : 'as text'}
        </Action>
      </Flex>
      {asText ? (
        <>
          <Box fontSize="note" color="muted" minH="28px" mb="6px">
            {lead}
          </Box>
          <ConditionText
            spot={spot}
            text={text}
            problem={read?.problem}
            onText={(t) => {
              setText(t);
              if (t.trim()) void check({ text: t });
              else setRead(undefined);
            }}
          />
        </>
      ) : (
        <RowGroup spot={spot} names={names.data ?? []} rows={rows} depth={0} lead={lead} onChange={changeRows} />
      )}
      <Box minH="22px" fontSize="note" color="muted" my="8px" aria-live="polite">
        {!unfinished && read && !read.problem && read.phrase && <>means: {read.phrase}</>}
        {unfinished && 'Every row needs a value.'}
        {!asText && !unfinished && read?.problem && <Box color="brick">{read.problem.message}</Box>}
      </Box>
      <Flex gap="8px" align="center">
        <Action tone="main" onClick={() => void save()} disabled={unfinished || (nothing && !(none && stored))}>
          Set condition
        </Action>
        {stored && none && <Action onClick={() => onSave(undefined)}>{none}</Action>}
        {onClose && (
          <Action tone="quiet" onClick={onClose}>
            Cancel
          </Action>
        )}
        <Box flex="1" />
        {share && !unfinished && read && !read.problem && !nothing && (
          <ShareForm spot={spot} share={share} stored={read.stored} onShared={onSave} />
        )}
      </Flex>
    </Box>
  );
}

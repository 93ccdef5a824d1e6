import { Box, Flex } from '@chakra-ui/react';
import type { GrantWords } from '../../../api/client';
import { put } from '../../../document/edit';
import { asSet, entityOf, idsIn } from '../../../document/parts';
import { conditionsOf } from '../../../document/project';
import { fieldsOf } from '../../../document/tables';
import { Action } from '../../../ui/controls';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { useRights } from '../context';
import { Checks } from './Checks';
import { ChipSentence } from './ChipSentence';
import { addGrant, setVerbs, verbs, verbsIn, verbsOf } from './grants';

interface GrantLineProps {
  role: string;
  table: string;
  grant: GrantWords;
  name: string; // of the role, for the line's own label
  last: boolean;
}

/** One grant as a sentence: what a role may do with a table, with which records, and which fields. */
export function GrantLine({ role, table, grant, name, last }: GrantLineProps) {
  const { project, as, entities, edit } = useRights();
  const { id } = grant;
  const now = entityOf(entities, id, 'grant');
  const fields = fieldsOf(entityOf(entities, table, 'table'));
  const conditions = conditionsOf(entities).length;
  const picker = (part: string, close: () => void) => {
    const save = (ops: Parameters<typeof edit>[0]) => {
      close();
      if (ops.length > 0) void edit(ops);
    };
    if (part === 'verbs') {
      return (
        <Checks
          choices={verbs.map((v) => [v, v])}
          chosen={verbsOf(entities, id)}
          note="None of them removes the grant: the role then may do nothing with this table."
          save="Set what they may do"
          onSave={(ids) => save(setVerbs(entities, { id, role, table }, verbsIn(ids)))}
        />
      );
    }
    if (!id || !now) return null;
    if (part === 'rows' || part === 'changes') {
      return (
        <ConditionEditor
          spot={{ project, as, table, use: 'rule' }}
          stored={now[part] ?? ''}
          lead={part === 'rows' ? 'those where' : 'only those where'}
          none={part === 'rows' ? 'All records' : 'Any of these'}
          share={{ table, root: 'record', pos: conditions + 1, edit }}
          onClose={close}
          onSave={(stored) => save(put(entities, [id, part], stored))}
        />
      );
    }
    if (part !== 'hidden' && part !== 'readOnly') return null;
    return (
      <Checks
        choices={fields.map((f) => [f.id, f.label])}
        chosen={idsIn(now[part])}
        none="none of them"
        note={
          part === 'hidden'
            ? 'Hidden also in titles, filters, sorting, search and explanations.'
            : 'They may be seen, and not changed.'
        }
        save="Set fields"
        onSave={(ids) => save(put(entities, [id, part], asSet(ids)))}
      />
    );
  };
  return (
    <Flex align="baseline" gap="10px">
      <Box flex="1">
        <ChipSentence chunks={grant.sentence} label={`${name} and this table`} picker={picker} />
      </Box>
      {last && id && (
        <Action
          tone="quiet"
          minH="26px"
          title="What several grants allow adds up: one to view all, another to change one’s own"
          onClick={() => void edit(addGrant(role, table))}
        >
          + another grant
        </Action>
      )}
    </Flex>
  );
}

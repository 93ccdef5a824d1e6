import type { Chunk } from '../../../api/client';
import type { Document } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { asSet, entityOf, idsIn } from '../../../document/parts';
import { rolesOf } from '../../../document/project';
import { ConditionEditor } from '../../condition/ConditionEditor';
import { Checks } from './Checks';
import { ChipSentence } from './ChipSentence';

interface GuardLineProps {
  project: string;
  as: string;
  entities: Document;
  screen: string;
  sentence: Chunk[];
  edit: (patch: ReturnType<typeof put>) => Promise<unknown>;
  onTable: () => void;
  size?: string;
}

/** Who may be on a screen at all, however one got there. */
export function GuardLine({ project, as, entities, screen, sentence, edit, onTable, size }: GuardLineProps) {
  const roles = rolesOf(entities);
  const own = entityOf(entities, screen, 'screen');
  const picker = (part: string, close: () => void) => {
    const save = (ops: ReturnType<typeof put>) => {
      close();
      if (ops.length > 0) void edit(ops);
    };
    if (part === 'guard') {
      return (
        <ConditionEditor
          spot={{ project, as, screen }}
          stored={own?.guard ?? ''}
          none="Whatever the record"
          onClose={close}
          onSave={(stored) => save(put(entities, [screen, 'guard'], stored))}
        />
      );
    }
    return (
      <Checks
        choices={roles.map((r) => [r.id, r.name])}
        chosen={own?.roles ? idsIn(own.roles) : roles.map((r) => r.id)}
        all="everyone"
        none="nobody"
        note="Nobody else gets in, by a way or by address."
        save="Set roles"
        onSave={(ids) =>
          save(put(entities, [screen, 'roles'], ids.size === roles.length ? undefined : (asSet(ids) ?? {})))
        }
      />
    );
  };
  return (
    <ChipSentence
      chunks={sentence}
      label="Who may be on this screen"
      picker={picker}
      links={{ table: onTable }}
      size={size}
    />
  );
}

import type { Binding } from '../../../document/document.gen';
import { ownedOf } from '../../../document/owner';
import { entityOf } from '../../../document/parts';
import { recordTable, screenOf } from '../../../document/screens';
import { useBuild } from '../../context';
import { type Choice, Picker } from '../../Picker';
import { moveOf, putInMove } from '../wiring';
import type { ChipProps } from './chip';
import { useExpression } from './useExpression';

/** What a dialog comes back with when this way closes it. */
export function ResultPicker({ chunk, way, wayRef, onClose }: ChipProps) {
  const { entities, edit, screen } = useBuild();
  const one = (table: string | undefined) => entityOf(entities, table, 'table')?.one || 'record';
  const own = recordTable(screenOf(entities, screen));
  const element = ownedOf(entities, screen, way.element)?.element;
  const rows = element?.kind === 'list' ? element.table : undefined;
  const choices: (Choice & { binding?: Binding })[] = [];
  if (rows && /^(row|menu\.)/.test(way.trigger))
    choices.push({ id: 'row', words: `the chosen ${one(rows)}`, binding: { rule: 'row' } });
  if (own) choices.push({ id: 'this', words: `this ${one(own)}`, binding: { rule: 'this' } });
  if (own) choices.push({ id: 'saved', words: `the ${one(own)} just saved`, binding: { rule: 'saved' } });
  choices.push({ id: 'user', words: 'the user’s own record', binding: { rule: 'user' } });
  const move = moveOf(wayRef, chunk.case);
  if (move?.kind === 'close' && move.result) choices.push({ id: 'none', words: 'nothing of its own' });
  const put = (binding: Binding | undefined) => {
    onClose();
    void edit(putInMove(wayRef, chunk.case, ['result'], binding));
  };
  const expression = useExpression(wayRef, put);
  return (
    <Picker
      label="What it comes back with"
      up
      choices={choices}
      make={(words) => expression.choice(words, 'an expression, or a value in quotes')}
      onClose={onClose}
      onChoose={(c) => {
        if (!expression.takes(c)) put(choices.find((x) => x.id === c.id)?.binding);
      }}
      foot={expression.foot}
    />
  );
}

import { childListsOf, recordTable, screensOf, tablesOf, text } from '../../document';
import { at, type Entities, type Json } from '../../edit';
import type { Choice } from '../../Picker';
import { variablesOf } from '../../variables';

/** One thing that a gate can do before it moves; form: what is to be said of it first. */
export interface Action extends Choice {
  effect?: Record<string, Json>;
  form?: 'set' | 'add' | 'filter' | 'sort' | 'find' | 'write' | 'setVar';
}

/** All that can be done on a screen, found by any word of it. */
export function actionsOf(entities: Entities, screen: string): Action[] {
  const doc = screensOf(entities).find((s) => s.id === screen);
  const table = tablesOf(entities).find((t) => t.id === recordTable(doc));
  const one = (id: string) => tablesOf(entities).find((t) => t.id === id)?.one ?? 'row';
  const out: Action[] = [];
  const add = (group: string, id: string, words: string, more: Partial<Action>) =>
    out.push({ id, words, group, ...more });
  if (table) {
    add('The record', 'save', 'save what was typed', { effect: { kind: 'save' } });
    add('The record', 'set', `set a field of the ${table.one} …`, { form: 'set' });
    add('The record', 'delete', `delete this ${table.one}`, { effect: { kind: 'delete' } });
  }
  add('Records', 'add', 'add a record …', { form: 'add', note: 'of any table, without a form' });
  for (const list of childListsOf(entities, screen)) {
    if (list.inPlace)
      add('Rows', `addRow.${list.id}`, `begin a new ${one(list.table)}`, { effect: { kind: 'addRow', list: list.id } });
    add('Rows', `delete.${list.id}`, `delete the chosen ${one(list.table)}`, {
      effect: { kind: 'delete', list: list.id },
    });
  }
  const elements = Object.entries((at(entities, [screen, 'elements']) as Record<string, Json> | undefined) ?? {});
  const list = mainListOf(entities, screen);
  if (list) {
    add('What is looked at', 'filter', 'narrow the list to …', {
      form: 'filter',
      note: 'a filter on one of its fields',
    });
    add('What is looked at', 'clear', 'take all filters off', { effect: { kind: 'clear' } });
    add('What is looked at', 'sort', 'order the list by …', { form: 'sort' });
    add('What is looked at', 'find', 'find in the list …', { form: 'find', note: 'words to look for' });
    add('What is looked at', 'export', 'save the list as a file', { effect: { kind: 'export', list: list.id } });
  }
  add('What is looked at', 'all', 'show all', {
    effect: { kind: 'clear', all: true },
    note: 'without filters and without what the screen was opened with',
  });
  for (const [id, e] of elements.filter(([, e]) => text(e, 'kind') === 'tabs')) {
    for (const [tab, t] of Object.entries((at(e, ['tabs']) as Record<string, Json> | undefined) ?? {}))
      add('What is looked at', `tab.${id}.${tab}`, `show the tab “${text(t, 'label')}”`, {
        effect: { kind: 'tab', block: id, tab },
      });
  }
  add('What is looked at', 'refresh', 'read everything again', { effect: { kind: 'refresh' } });
  add('What is looked at', 'print', 'print', { effect: { kind: 'print' }, note: 'put the screen on paper' });
  add('What the tab keeps', 'setVar', 'set a variable …', { form: 'setVar', note: 'one that is there, or a new one' });
  for (const v of variablesOf(entities).filter((v) => !v.screen || v.screen === screen))
    add('What the tab keeps', `forget.${v.id}`, `${v.start ? 'put back' : 'forget'} ${v.label.toLowerCase()}`, {
      effect: { kind: 'setVar', variable: v.id },
      note: v.start ? `to ${v.start}` : undefined,
    });
  for (const [id, r] of Object.entries(entities).filter(([, e]) => text(e, 'kind') === 'rail')) {
    if (at(r, ['drawer']) === undefined) continue;
    for (const [how, words] of [
      ['open', 'open'],
      ['close', 'close'],
      ['toggle', 'open or close'],
    ] as const)
      add('Drawers', `drawer.${id}.${how}`, `${words} the drawer “${text(r, 'name')}”`, {
        effect: { kind: 'drawer', rail: id, how },
      });
  }
  if (doc?.type === 'operator') add('The plant', 'write', 'write to a tag …', { form: 'write' });
  return out;
}

/** Text that is an expression rather than words: it begins with a name the language knows, or a quote. */
export function looksWorkedOut(words: string) {
  return /^(record|row|inputs|user|vars)\.|^"|\(\)$/.test(words);
}

/** The topmost list of a screen that is not one of children: its id and table. */
export function mainListOf(entities: Entities, screen: string): { id: string; table: string } | undefined {
  const elements = Object.entries((at(entities, [screen, 'elements']) as Record<string, Json> | undefined) ?? {});
  const lists = elements
    .filter(([, e]) => text(e, 'kind') === 'list' && !text(e, 'relation'))
    .map(([id, e]) => ({ id, table: text(e, 'table'), row: Number(at(e, ['cell', 'row']) ?? 0) }));
  return lists.sort((a, b) => a.row - b.row)[0];
}

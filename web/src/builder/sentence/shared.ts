import type { Op } from '../../api/client';
import { recordTable, screensOf, text } from '../document';
import { at, type Entities, type Json, newId, put } from '../edit';
import type { WayRef } from './wiring';

type Body = { [key: string]: Json };

function isBody(v: Json | undefined): v is Body {
  return typeof v === 'object' && v !== null && !Array.isArray(v);
}

/** Every text and every binding of a gate, changed; what stands elsewhere is kept as it is. */
function changed(v: Json, onText: (text: string) => string, onBinding: (b: Body) => Json, under = ''): Json {
  if (typeof v === 'string') return expressions.has(under) ? onText(v) : v;
  if (!isBody(v)) return v;
  if (typeof v.rule === 'string') return onBinding(v);
  return Object.fromEntries(
    Object.entries(v).map(([k, x]) => {
      const inside = under === 'set' || under === 'fields' || under === 'with' ? 'while' : k;
      return [k, changed(x, onText, onBinding, inside)];
    }),
  );
}

/** The parts of a gate that hold expressions, or words with expressions in them. */
const expressions = new Set(['while', 'when', 'grey', 'confirm', 'by', 'value', 'words', 'tag']);

/** Makes a way's own gate one that others can use: what it speaks of becomes its inputs. */
export function makeShared(w: WayRef, name: string): Op[] {
  const own = at(w.entities, w.at);
  if (!isBody(own)) return [];
  const here = screensOf(w.entities).find((s) => s.id === w.screen);
  const element = at(w.entities, w.at.slice(0, 3));
  const inputs: Record<string, Json> = {};
  const give: Record<string, Json> = {};
  const input = (key: string, alias: string, label: string, table: string, binding: Json) => {
    const id = `i_${key}`;
    inputs[id] ??= {
      pos: Object.keys(inputs).length + 1,
      alias,
      label,
      type: 'record',
      table,
      required: true,
    };
    give[id] ??= binding;
    return id;
  };
  const record = () => of('record', recordTable(here) ?? '', { rule: 'this' });
  const row = () => of('row', text(element, 'table'), { rule: 'row' });
  const of = (key: string, table: string, binding: Json) => {
    const one = text(w.entities[table], 'one') || 'record';
    return input(key, one.replaceAll(/\W+/g, '_'), one.charAt(0).toUpperCase() + one.slice(1), table, binding);
  };
  const given = (id: string) => {
    const own = at(w.entities, [w.screen, 'inputs', id]);
    if (!(id in inputs) && isBody(own)) {
      inputs[id] = { ...own, pos: Object.keys(inputs).length + 1, filter: '' };
      delete (inputs[id] as Body).filter;
      give[id] = { rule: 'input', value: id };
    }
    return id;
  };
  const onText = (t: string) =>
    t
      .replaceAll(/(?<![\w.])record\b/g, () => `inputs.${record()}`)
      .replaceAll(/(?<![\w.])row\b/g, () => `inputs.${row()}`)
      .replaceAll(/(?<![\w.])inputs\.(i_\w+)/g, (_, id: string) => `inputs.${id in inputs ? id : given(id)}`);
  const onBinding = (b: Body): Json => {
    const { rule, from } = b;
    const none = pick(b, 'none', 'reason', 'screen');
    if (rule === 'this') return { rule: 'input', value: record(), ...none };
    if (rule === 'row') return { rule: 'input', value: row(), ...none };
    if (rule === 'input') return { ...b, value: given(String(b.value)) };
    if (rule === 'expression') return { ...b, value: onText(String(b.value)) };
    if (rule === 'parent' || rule === 'child')
      return { ...b, from: !from || from === 'record' ? record() : from === 'row' ? row() : given(String(from)) };
    return b;
  };
  const body = changed(own, onText, onBinding);
  const id = newId('g');
  const pos = Object.values(w.entities).filter((e) => text(e, 'kind') === 'gate').length + 1;
  return [
    { op: 'add', path: `/${id}`, value: { kind: 'gate', pos, name, inputs, gate: body } },
    ...put(w.entities, w.at, { use: id, give }),
  ];
}

/** Makes the gate that a way shares its own again; what it cannot say by itself is told. */
export function makeOwn(w: WayRef): { ops: Op[]; problem?: string } {
  const shared = at(w.entities, [w.shared ?? '', 'gate']);
  const give = at(w.entities, [...w.at, 'give']);
  if (!isBody(shared)) return { ops: [], problem: 'The shared gate is gone.' };
  const given = (id: string) => at(give, [id]);
  let problem: string | undefined;
  const source = (id: string): string => {
    const b = given(id);
    const rule = text(b, 'rule');
    const root: Record<string, string> = { this: 'record', saved: 'record', row: 'row', user: 'user.record' };
    if (root[rule]) return root[rule];
    if (rule === 'input') return `inputs.${text(b, 'value')}`;
    if (rule === 'parent' && !text(b, 'from')) return `record.${text(b, 'path')}`;
    if (rule === 'parent' && text(b, 'from') === 'row') return `row.${text(b, 'path')}`;
    if (rule === 'expression') return `(${text(b, 'value')})`;
    problem = 'Its condition speaks of a record that only the shared gate can ask for here. Change that first.';
    return `inputs.${id}`;
  };
  const onText = (t: string) => t.replaceAll(/(?<![\w.])inputs\.(i_\w+)/g, (_, id: string) => source(id));
  const onBinding = (b: Body): Json => {
    const none = pick(b, 'none', 'reason', 'screen');
    if (b.rule === 'input') {
      const outer = given(String(b.value));
      return isBody(outer) ? { ...none, ...outer } : b;
    }
    if (b.rule === 'expression') return { ...b, value: onText(String(b.value)) };
    if (b.rule === 'parent' || b.rule === 'child') {
      const outer = given(String(b.from ?? ''));
      const rule = text(outer, 'rule');
      if (rule === 'this') return without(b, 'from');
      if (rule === 'row') return { ...b, from: 'row' };
      if (rule === 'input') return { ...b, from: text(outer, 'value') };
      if (rule === 'parent' && b.rule === 'parent')
        return { ...without(b, 'from'), ...pick(outer as Body, 'from'), path: `${text(outer, 'path')}.${b.path}` };
      problem = 'It follows a relation of a record that only the shared gate knows here. Change that first.';
    }
    return b;
  };
  const body = changed(shared, onText, onBinding);
  return { ops: problem ? [] : put(w.entities, w.at, body), problem };
}

function pick(b: Body, ...names: string[]): Body {
  return Object.fromEntries(Object.entries(b).filter(([k]) => names.includes(k)));
}

function without(b: Body, name: string): Body {
  return Object.fromEntries(Object.entries(b).filter(([k]) => k !== name));
}

/** The shared gates of the project, in order. */
export function sharedGatesOf(e: Entities): { id: string; name: string; area: string }[] {
  return Object.entries(e)
    .filter(([, body]) => text(body, 'kind') === 'gate')
    .map(([id, body]) => ({ id, name: text(body, 'name'), area: text(body, 'area') }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** The way with a shared gate in the stead of its own; its inputs are bound as can be proposed. */
export function throughShared(w: WayRef, gate: string, give: Record<string, Json>): Op[] {
  return put(w.entities, w.at, { use: gate, give });
}

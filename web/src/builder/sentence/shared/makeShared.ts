import type { Op } from '../../../api/client';
import type { Binding, Input, SharedGate } from '../../../document/document.gen';
import { newId, put } from '../../../document/edit';
import { capital } from '../../../document/newScreen';
import { ownedOf } from '../../../document/owner';
import { entityOf } from '../../../document/parts';
import { sharedGatesOf } from '../../../document/project';
import { recordTable, screenOf } from '../../../document/screens';
import { ownGateOf, type WayRef } from '../wiring';
import { noneOf, rewritten } from './rewrite';

/** Makes a way's own gate one that others can use: what it speaks of becomes its inputs. */
export function makeShared(w: WayRef, name: string): Op[] {
  const own = ownGateOf(w);
  if (!own) return [];
  const spoken = new Spoken(w);
  const onText = (t: string) =>
    t
      .replaceAll(/(?<![\w.])record\b/g, () => `inputs.${spoken.record()}`)
      .replaceAll(/(?<![\w.])row\b/g, () => `inputs.${spoken.row()}`)
      .replaceAll(/(?<![\w.])inputs\.(i_\w+)/g, (_, id: string) => `inputs.${spoken.input(id)}`);
  const onBinding = (b: Binding): Binding => {
    switch (b.rule) {
      case 'this':
        return { rule: 'input', value: spoken.record(), ...noneOf(b) };
      case 'row':
        return { rule: 'input', value: spoken.row(), ...noneOf(b) };
      case 'input':
        return { ...b, value: spoken.input(b.value ?? '') };
      case 'expression':
        return { ...b, value: onText(b.value ?? '') };
      case 'parent':
      case 'child':
        return { ...b, from: spoken.from(b.from) };
    }
    return b;
  };
  const gate = rewritten(own, { onText, onBinding });
  const id = newId('g');
  const pos = sharedGatesOf(w.entities).length + 1;
  const value: SharedGate = { kind: 'gate', pos, name, inputs: spoken.inputs, gate };
  return [{ op: 'add', path: `/${id}`, value }, ...put(w.entities, w.at, { use: id, give: spoken.give })];
}

/** What a gate speaks of, as the inputs of a shared one, and what those are given here. */
class Spoken {
  readonly inputs: Record<string, Input> = {};
  readonly give: Record<string, Binding> = {};

  constructor(private readonly w: WayRef) {}

  record(): string {
    return this.one('record', recordTable(screenOf(this.w.entities, this.w.screen)), { rule: 'this' });
  }

  row(): string {
    const element = ownedOf(this.w.entities, this.w.screen, this.w.element)?.element;
    return this.one('row', element && 'table' in element ? element.table : undefined, { rule: 'row' });
  }

  /** Where a relation begins. */
  from(named: string | undefined): string {
    if (!named || named === 'record') return this.record();
    return named === 'row' ? this.row() : this.input(named);
  }

  /** An input of the screen becomes one of the gate, under the same id. */
  input(id: string): string {
    const own = screenOf(this.w.entities, this.w.screen)?.inputs?.[id];
    if (!(id in this.inputs) && own) {
      const { filter: _, ...input } = own;
      this.inputs[id] = { ...input, pos: this.next() };
      this.give[id] = { rule: 'input', value: id };
    }
    return id;
  }

  private one(key: string, table: string | undefined, binding: Binding): string {
    const id = `i_${key}`;
    const one = entityOf(this.w.entities, table, 'table')?.one || 'record';
    const alias = one.replaceAll(/\W+/g, '_');
    const about = { alias, label: capital(one), type: 'record', table: table ?? '', required: true };
    this.inputs[id] ??= { pos: this.next(), ...about };
    this.give[id] ??= binding;
    return id;
  }

  private next() {
    return Object.keys(this.inputs).length + 1;
  }
}

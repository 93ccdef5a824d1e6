import type { Binding, Gate } from '../../../document/document.gen';
import { isObject } from '../../../document/edit';

/** What becomes of the expressions and of the bindings of a gate. */
export interface Changes {
  onText: (text: string) => string;
  onBinding: (b: Binding) => Binding;
}

/** The parts of a gate that hold expressions, or words with expressions in them. */
const expressions = new Set(['while', 'when', 'grey', 'confirm', 'by', 'value', 'words', 'tag']);

/** The parts that hold an expression under each of their names. */
const assigned = new Set(['set', 'fields', 'with']);

/** A gate with every expression and every binding changed; what stands elsewhere is kept as it is. */
export function rewritten(gate: Gate, changes: Changes): Gate {
  return Object.fromEntries(Object.entries(gate).map(([k, x]) => [k, inside(x, k, changes)]));
}

function inside(v: unknown, under: string, changes: Changes): unknown {
  if (typeof v === 'string') return expressions.has(under) ? changes.onText(v) : v;
  if (!isObject(v)) return v;
  if (isBinding(v)) return changes.onBinding(v);
  return Object.fromEntries(
    Object.entries(v).map(([k, x]) => [k, inside(x, assigned.has(under) ? 'while' : k, changes)]),
  );
}

/** Of all that a gate holds only bindings have a rule. */
function isBinding(v: object): v is Binding {
  return 'rule' in v && typeof v.rule === 'string';
}

/** What happens where a rule finds no record. */
export function noneOf(b: Binding): Pick<Binding, 'none' | 'reason' | 'screen'> {
  const { none, reason, screen } = b;
  return Object.fromEntries(Object.entries({ none, reason, screen }).filter(([, v]) => v !== undefined));
}

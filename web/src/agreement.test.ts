import { expect, test } from 'vitest';
import api from '../../api/openapi.yaml?raw';
import schema from '../../schema/document.schema.json?raw';
import { kinds as builtElements } from './builder/elements/all';
import { chips } from './builder/sentence/chips/all';
import { effects } from './builder/sentence/effects/all';
import { targets } from './builder/sentence/targets/all';
import { ways } from './builder/sentence/ways/all';
import { kinds as shownElements } from './screen/kinds/all';

// What is registered here is what the document may hold and the server tells: the compiler says so of
// the generated types, this of what is really there. The Go side of it: schema/agreement_test.go.

type Named = { const?: string; enum?: string[]; $ref?: string; additionalProperties?: { $ref?: string } | boolean };
const document: { $defs: Record<string, { oneOf?: { $ref: string }[]; properties?: Record<string, Named> }> } =
  JSON.parse(schema);

/** The kinds of a part of the document, by the property that names them. */
function kindsOf(part: string, by: string): string[] {
  return (document.$defs[part]?.oneOf ?? []).flatMap(({ $ref }) => {
    const named = document.$defs[$ref.split('/').pop() ?? '']?.properties?.[by];
    return named?.const ?? named?.enum ?? [];
  });
}

const sorted = (names: Iterable<string>) => [...names].sort();

test('every kind of element is drawn, and built', () => {
  const kinds = sorted(kindsOf('Element', 'kind'));
  expect(kinds.length).toBeGreaterThan(5);
  expect(sorted(Object.keys(shownElements))).toEqual(kinds);
  expect(sorted(Object.keys(builtElements))).toEqual(kinds);
});

const looks: Record<string, string> = import.meta.glob('./builder/elements/**/*.tsx', {
  query: '?raw',
  import: 'default',
  eager: true,
});

/** The parts of each kind of element in the document, with what they refer to. */
function partsOf(kind: string): [name: string, part: Named][] {
  const def = Object.values(document.$defs).find((d) => d.properties?.cell && d.properties.kind?.const === kind);
  return Object.entries(def?.properties ?? {});
}

test('every part of every element can be edited beside the sentence', () => {
  const head = ['kind', 'pos', 'cell', 'shown', 'modes', 'tab'];
  const text = Object.values(looks).join('\n');
  for (const kind of Object.keys(builtElements)) {
    const own = partsOf(kind).filter(([name, part]) => !head.includes(name) && !isGate(part) && !holdsGates(name));
    expect(own.length, kind).toBeGreaterThan(0);
    for (const [name] of own) {
      // The table is chosen when it is put; a button's trigger is the first word of its sentence.
      if (name === 'table' || (kind === 'button' && name === 'trigger')) continue;
      expect(new RegExp(`name="${name}"|'${name}'|faces=`).test(text), `${name} of ${kind}`).toBe(true);
    }
  }
});

const isGate = (part: Named) => part.$ref === '#/$defs/Gate';
const holdsGates = (name: string) => name === 'menu' || name === 'several';

test('every way that an element may set off can be begun', () => {
  for (const [kind, built] of Object.entries(builtElements)) {
    const of: { menuOf?: string; starts?: { at: string }[] } = built;
    for (const [name, part] of partsOf(kind)) {
      if (name === 'menu') expect(of.menuOf, kind).toBeDefined();
      else if (isGate(part) || holdsGates(name))
        expect(kind === 'button' || of.starts?.some((s) => s.at === name), `${name} of ${kind}`).toBe(true);
    }
  }
});

test('every part of an element that holds ways of its own can be given one', () => {
  const text = Object.values(looks).join('\n');
  const held = Object.keys(builtElements).flatMap((kind) =>
    partsOf(kind).flatMap(([name, { additionalProperties: of }]) => {
      const def = typeof of === 'object' ? document.$defs[of.$ref?.split('/').pop() ?? ''] : undefined;
      return def?.properties?.gate && name !== 'menu' ? [name] : [];
    }),
  );
  expect(sorted(new Set(held))).toEqual(['items', 'links', 'marks', 'several']);
  for (const name of held) expect(new RegExp(`at: ['\`]${name}['/]`).test(text), name).toBe(true);
});

test('every kind of effect is offered', () => {
  expect(sorted(Object.keys(effects))).toEqual(sorted(kindsOf('Effect', 'kind')));
});

test('every kind of move is offered, and to stay', () => {
  expect(sorted(Object.keys(targets))).toEqual(sorted([...kindsOf('Move', 'kind'), 'stay']));
});

test('every trigger of a screen is offered', () => {
  expect(sorted(Object.keys(ways))).toEqual(sorted(kindsOf('Way', 'trigger')));
});

test('every part of a sentence that the server tells has a picker', () => {
  const told = /description: what a picker changes[^\n]*\n\s*enum: \[([^\]]*)\]/.exec(api)?.[1]?.split(', ') ?? [];
  expect(told).toContain('trigger');
  // Those of rights are changed beside the tables of rights, not in a way's sentence.
  const ofRights = ['table', 'verbs', 'rows', 'changes', 'hidden', 'readOnly', 'guard'];
  const own = Object.keys(chips).filter((part) => !part.startsWith('+'));
  expect(sorted(own)).toEqual(sorted(told.filter((part) => !ofRights.includes(part))));
});

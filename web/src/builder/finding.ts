import type { Document, Element } from '../document/document.gen';
import { targetsIn } from '../document/leads';
import { entitiesOf, entityOf, inOrder, type Kept } from '../document/parts';
import { conditionsOf, railsOf, sharedGatesOf } from '../document/project';
import { elementsOf, screensOf } from '../document/screens';
import { fieldsOf, tablesOf } from '../document/tables';
import { variablesOf } from '../document/variables';
import type { Choice } from './choices';
import { dataPages, wholePages } from './data/pages';
import { builtOf } from './elements/all';
import type { Kind, OfKind } from './elements/element';

/** Something that is found: it is opened as a screen, at an element of it, as a page of the Data view, or it is done. */
export interface Found extends Choice {
  screen?: string;
  element?: string;
  page?: string;
  does?: () => void;
}

/** What can be done from everywhere, with its key. */
export interface Command {
  id: string;
  words: string;
  key?: string;
  does: () => void;
}

/** Everything of an application that one can go to, screens first: elements, tables, fields, gates, rails, values; and commands. */
export function allThings(d: Document, commands: Command[]): Found[] {
  const screens = screensOf(d);
  return [
    ...screens.map((s) => ({
      id: s.id,
      words: s.title,
      note: `${s.type} · /${s.slug}`,
      glyph: s.type,
      group: s.area || 'No area',
      screen: s.id,
    })),
    ...commands.map((c) => ({ id: c.id, words: c.words, note: c.key, group: 'To do', does: c.does })),
    ...wholePages.map(([id, words]) => ({ id, words, group: 'The whole', page: id })),
    ...dataPages.map(([id, words]) => ({ id, words, group: 'Rights', page: id })),
    ...tablesOf(d).map((t) => ({ id: t.id, words: t.label, note: 'fields and rights', group: 'Tables', page: t.id })),
    ...conditionsOf(d).map((c) => ({
      id: c.id,
      words: c.name,
      note: 'shared condition',
      group: 'Conditions',
      page: 'conditions',
    })),
    ...variablesOf(d).map((v) => ({
      id: v.id,
      words: v.label,
      note: 'variable',
      group: 'Variables',
      page: 'variables',
    })),
    ...entitiesOf(d, 'tag').map((t) => ({
      id: t.id,
      words: t.label,
      note: 'value of the plant',
      group: 'Plant',
      page: 'plant',
    })),
    ...entitiesOf(d, 'equipment').flatMap((e) =>
      inOrder(e.parts).flatMap((p) =>
        inOrder(p.tags).map((t) => ({
          id: `${e.id}.${p.id}.${t.id}`,
          words: `${p.label} ${t.label}`,
          note: 'value of the plant',
          group: 'Plant',
          page: 'plant',
        })),
      ),
    ),
  ];
}

/** What is found only by its own words, since there is so much of it. */
export function deepThings(d: Document): Found[] {
  const screens = screensOf(d);
  return [
    ...screens.flatMap((s) =>
      elementsOf(d, s.id).flatMap((e) => {
        const words = wordsFor(e, d);
        return words
          ? [
              {
                id: `${s.id}.${e.id}`,
                words,
                note: `${e.kind} on ${s.title}`,
                group: 'Elements',
                screen: s.id,
                element: e.id,
              },
            ]
          : [];
      }),
    ),
    ...tablesOf(d).flatMap((t) =>
      fieldsOf(t).map((f) => ({
        id: `${t.id}.${f.id}`,
        words: f.label,
        note: `field of ${t.label.toLowerCase()}`,
        group: 'Fields',
        page: t.id,
      })),
    ),
    ...railsOf(d).flatMap((r) => {
      const on = screens[0];
      return inOrder(r.elements).flatMap((e) => {
        const words = wordsFor(e, d);
        return words && on
          ? [
              {
                id: `${r.id}.${e.id}`,
                words,
                note: `on the rail ${r.name}`,
                group: 'Rails',
                screen: on.id,
                element: e.id,
              },
            ]
          : [];
      });
    }),
    ...screens.flatMap((s) => elementsOf(d, s.id).flatMap((e) => waysOf(d, s.id, s.title, e))),
    ...sharedGatesOf(d).flatMap((g) => {
      const user = screens.find((s) => JSON.stringify(s.elements ?? {}).includes(`"${g.id}"`));
      const element = user && elementsOf(d, user.id).find((e) => JSON.stringify(e).includes(`"${g.id}"`));
      return user && element
        ? [
            {
              id: g.id,
              words: g.name,
              note: `shared gate, as on ${user.title}`,
              group: 'Gates',
              screen: user.id,
              element: element.id,
            },
          ]
        : [];
    }),
  ];
}

function wordsFor<K extends Kind>(e: OfKind<K>, d: Document): string {
  return builtOf<K>(e).words?.(e, d) ?? '';
}

/** The ways of an element to other screens, by its words and where they lead. */
function waysOf(d: Document, screen: string, title: string, e: Kept<Element>): Found[] {
  const words = wordsFor(e, d) || e.kind;
  return [...new Set(targetsIn(e))].flatMap((target) => {
    const to = entityOf(d, target, 'screen');
    if (!to) return [];
    const id = `${screen}.${e.id}>${target}`;
    return [
      { id, words: `“${words}” leads to ${to.title}`, note: `way on ${title}`, group: 'Ways', screen, element: e.id },
    ];
  });
}

/** People whose eyes the builder can look through. */
export function peopleOf(
  people: { id: string; name: string; roles: string[] }[],
  onWho: (as: string) => void,
): Found[] {
  return people
    .filter((p) => p.roles.length > 0)
    .map((p) => ({
      id: p.id,
      words: p.name,
      note: `walk as ${p.roles.join(', ').toLowerCase()}`,
      group: 'People',
      does: () => onWho(p.id),
    }));
}

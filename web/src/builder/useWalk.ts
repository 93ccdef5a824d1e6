import { useCallback, useRef, useState } from 'react';
import type { Draft, Place } from '../api/client';
import { entityOf } from '../document/parts';
import { rolesOf } from '../document/project';
import { useSteady } from '../ui/useSteady';
import { notPractised } from './stage/usePractice';

/** Where one walks in the project while building it: as whom, on which records, with which variables. */
export function useWalk(draft: Draft, onScreen: (screen: string) => void) {
  const [as, setAs] = useState(() => firstToWalkAs(draft));
  const [places, setPlaces] = useState<Record<string, Place>>({});
  const [vars, setVars] = useState<Record<string, string>>({});
  const [element, setElement] = useState<string>();
  const [practised, setPractised] = useState(notPractised);
  const entities = useRef(draft.entities);
  entities.current = draft.entities;
  const go = useSteady(onScreen);
  const open = useCallback(
    (p: Place, at?: string) => {
      setPlaces((old) => ({ ...old, [p.screen]: p.inputs ? p : (old[p.screen] ?? p) }));
      setVars((old) => anew(entities.current, old, p.screen));
      setElement(at);
      go(p.screen);
    },
    [go],
  );
  return { as, setAs, places, vars, setVars, element, practised, setPractised, open };
}

/** A screen that is opened begins with its own variables anew; those of the project stay. */
function anew(entities: Draft['entities'], vars: Record<string, string>, screen: string) {
  const owner = (id: string) => entityOf(entities, id, 'variable')?.screen;
  return Object.fromEntries(Object.entries(vars).filter(([id]) => (owner(id) ?? screen) === screen));
}

/** Whom one walks as at first: somebody with the first of the project's roles. */
function firstToWalkAs(draft: Draft): string {
  const roles = rolesOf(draft.entities);
  if (!draft.walks) return roles[0] ? `role:${roles[0].id}` : '';
  for (const role of roles) {
    const person = draft.people.find((p) => p.roles.includes(role.name));
    if (person) return person.id;
  }
  return draft.people[0]?.id ?? '';
}

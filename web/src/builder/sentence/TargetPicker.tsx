import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type OfferedScreen } from '../../api/client';
import { useBuild } from '../context';
import { childListsOf, recordTable, type ScreenDoc, screensOf, tablesOf, text } from '../document';
import { at, type Entities, type Json } from '../edit';
import { type Choice, Picker } from '../Picker';
import { AddressForm } from './AddressForm';
import type { ChipProps } from './ChipPicker';
import { ChoiceForm } from './ChoiceForm';
import { MakeScreen } from './MakeScreen';
import { sharedGatesOf, throughShared } from './shared';
import { caseId, gate, moveTo, proposals, putGate, putMove, type WayRef } from './wiring';

const moves: Choice[] = [
  { id: 'back', words: 'go back', note: 'to where one came from', glyph: 'back' },
  { id: 'forward', words: 'go forward', note: 'to where one went back from', glyph: 'forward' },
  { id: 'home', words: 'go home', note: 'to the start screen of the role', glyph: 'home' },
  { id: 'up', words: 'go up', note: 'to what is “up” from here', glyph: 'up' },
  { id: 'close', words: 'close this', note: 'a dialog or drawer', glyph: 'close' },
  { id: 'stay', words: 'stay here', note: 'and only do something', glyph: 'stay' },
  { id: 'out', words: 'sign out', note: 'end this session', glyph: 'out' },
].map((c) => ({ ...c, group: 'Without a target' }));

const steps = ['first', 'previous', 'next', 'last'];

/** The steps along the list that a screen's record is in, and along its lists of children. */
function stepsOf(entities: Entities, screen: ScreenDoc | undefined): Choice[] {
  const tables = tablesOf(entities);
  const one = (table: string | undefined) => tables.find((t) => t.id === table)?.one ?? 'record';
  const own = recordTable(screen);
  const choices: Choice[] = [];
  for (const s of own ? steps : []) {
    const words = `go to the ${s} ${one(own)}`;
    choices.push({ id: `step.${s}`, words, note: 'of the list come from', glyph: 'forward', group: 'Along a list' });
  }
  for (const list of screen ? childListsOf(entities, screen.id) : []) {
    for (const s of steps) {
      const words = `choose the ${s} ${one(list.table)}`;
      const note = list.label || 'of the list on this screen';
      choices.push({ id: `step.${s}.${list.id}`, words, note, glyph: 'list', group: 'Along a list' });
    }
  }
  return choices;
}

/** What leads out of the project, and what is worked out. */
function othersOf(entities: Entities, offers: OfferedScreen[]): Choice[] {
  const rails = Object.entries(entities).filter(([, e]) => text(e, 'kind') === 'rail');
  return [
    { id: 'address', words: 'a web address …', note: 'made from what is known here', glyph: 'web', group: 'Elsewhere' },
    ...offers.map((o) => ({
      id: `project.${o.project}.${o.entry}`,
      words: o.screen,
      note: `of ${o.title}`,
      glyph: 'project',
      group: 'Elsewhere',
    })),
    {
      id: 'choice',
      words: 'one of several screens …',
      note: 'which one is worked out from the data',
      glyph: 'choice',
      group: 'Worked out',
    },
    ...rails.flatMap(([id, r]) =>
      ['next', 'previous'].map((step) => ({
        id: `along.${step}.${id}`,
        words: `go to the ${step} along “${text(r, 'name')}”`,
        glyph: step === 'next' ? 'forward' : 'back',
        group: 'Along a list',
      })),
    ),
  ];
}

/** Where a way leads: screens by area, shared gates, other projects, moves without a target, or a
 * new screen by typing its name. */
export function TargetPicker(p: ChipProps & { wayRef: WayRef }) {
  const { wayRef, onClose, chunk } = p;
  const { entities, edit, project } = useBuild();
  const [making, setMaking] = useState<string>();
  const [form, setForm] = useState<'address' | 'choice'>();
  const offers = useQuery({
    queryKey: ['offers', project],
    queryFn: () => ask(api.GET('/api/build/{project}/offers', { params: { path: { project } } })),
  });
  const screens = screensOf(entities);
  const id = chunk.case || caseId(wayRef);
  if (making !== undefined) return <MakeScreen title={making} wayRef={wayRef} of={id} onClose={onClose} />;
  if (form === 'address') return <AddressForm {...p} />;
  if (form === 'choice') return <ChoiceForm {...p} />;
  const setMove = (move: Json | undefined) => edit(putMove(wayRef, move, id));
  const choose = async (c: Choice) => {
    if (c.id === 'new') return setMaking(c.words.slice(5));
    if (c.id === 'address' || c.id === 'choice') return setForm(c.id);
    onClose();
    const target = screens.find((s) => s.id === c.id);
    if (target && chunk.item) {
      const made = (await moveTo(wayRef, target)) as Record<string, Json>;
      const among = ['cases', id, 'move', 'among', chunk.item];
      const now = gate(wayRef, ...among) as Record<string, Json>;
      const next = { ...now, target: target.id, ...(made.bind ? { bind: made.bind } : {}) };
      if (!made.bind) delete (next as Record<string, Json>).bind;
      return edit(putGate(wayRef, among, next));
    }
    if (target) return setMove(await moveTo(wayRef, target));
    if (c.group === 'Shared gates') return edit(throughShared(wayRef, c.id, await givenTo(wayRef, c.id)));
    const [kind = '', step = '', list] = c.id.split('.');
    if (kind === 'step') return setMove({ kind, step, ...(list ? { list } : {}) });
    if (kind === 'along') return setMove({ kind, step, rail: list ?? '' });
    if (kind === 'project') return setMove({ kind, project: step, entry: list ?? '' });
    return setMove(c.id === 'stay' ? undefined : { kind: c.id });
  };
  const onlyScreens = chunk.item !== undefined;
  return (
    <Picker
      label="Where it leads"
      up
      choices={[
        ...(onlyScreens || wayRef.shared
          ? []
          : sharedGatesOf(entities).map((g) => ({
              id: g.id,
              words: `through “${g.name}”`,
              note: 'a shared gate',
              glyph: 'choice',
              group: 'Shared gates',
            }))),
        ...screens.map((s) => ({ id: s.id, words: s.title, note: s.type, glyph: s.type, group: s.area || 'No area' })),
        ...(onlyScreens
          ? []
          : [
              ...stepsOf(
                entities,
                screens.find((s) => s.id === wayRef.screen),
              ),
              ...othersOf(entities, offers.data ?? []),
              ...moves,
            ]),
      ]}
      make={(t) =>
        onlyScreens || screens.some((s) => s.title.toLowerCase() === t.toLowerCase())
          ? undefined
          : { id: 'new', words: `make ${t}`, note: 'a new screen, with a way back', glyph: 'plus', group: 'New' }
      }
      onChoose={(c) => void choose(c)}
      onClose={onClose}
    />
  );
}

/** What a shared gate is given at first: the best that can be proposed for each of its inputs. */
async function givenTo(w: WayRef, shared: string): Promise<Record<string, Json>> {
  const inputs = Object.keys((at(w.entities, [shared, 'inputs']) as object | undefined) ?? {});
  const give: Record<string, Json> = {};
  for (const input of inputs) {
    const [best] = (await proposals(w, shared, input, true)).filter((x) => x.binding);
    if (best) give[input] = best.binding as unknown as Json;
  }
  return give;
}

import { useQuery } from '@tanstack/react-query';
import { type ComponentType, useState } from 'react';
import { api, ask, type Op } from '../../../api/client';
import type { Target as Among } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { screenMove } from '../../../document/gates';
import { ownedOf } from '../../../document/owner';
import { sharedGatesOf } from '../../../document/project';
import { type ScreenDoc, screenOf, screensOf } from '../../../document/screens';
import { useBuild } from '../../context';
import { type Choice, Picker } from '../../Picker';
import type { ChipProps } from '../chips/chip';
import { newForm } from '../effects/all';
import type { Body } from '../effects/effect';
import { addEffect } from '../effects/parts/putEffect';
import { givenTo, moveTo } from '../proposals';
import { caseId, moveOf, putInMove, putMove, type WayRef } from '../wiring';
import { doingOf, targetsOf } from './all';
import { likelyFirst } from './likely';
import { MakeScreen } from './MakeScreen';
import type { Target } from './target';

/** Where a way leads: screens by area, shared gates, other projects, moves without a target, or a
 * new screen by typing its name. */
export function TargetPicker(p: ChipProps) {
  const { wayRef, onClose, chunk } = p;
  const { entities, edit, project } = useBuild();
  const [making, setMaking] = useState<string>();
  const [form, setForm] = useState<{ Form: ComponentType<ChipProps> }>();
  const [doing, setDoing] = useState<NonNullable<Target['action']>>();
  const offers = useQuery({
    queryKey: ['offers', project],
    queryFn: () => ask(api.GET('/api/build/{project}/offers', { params: { path: { project } } })),
  });
  const id = chunk.case || caseId(wayRef);
  if (making !== undefined) return <MakeScreen title={making} wayRef={wayRef} of={id} onClose={onClose} />;
  if (form) return <form.Form {...p} />;
  const added = (body: Body, also: Op[] = []) => {
    onClose();
    return edit([...also, ...addEffect(wayRef, id, body)]);
  };
  if (doing) return newForm(doing.kind, { wayRef, onClose, onDone: (body, also) => void added(body, also) }) ?? null;
  const among = chunk.item; // of a choice: only a screen fits
  const of = { entities, screen: wayRef.screen, offers: offers.data ?? [] };
  const owned = ownedOf(entities, wayRef.screen, wayRef.element ?? '')?.element;
  const row = owned && 'table' in owned && wayRef.trigger !== 'release' ? owned.table : undefined;
  const now = screenMove(moveOf(wayRef, id))?.target;
  const all = [...likelyFirst(targetsOf(of), { ...of, row, now }), ...doingOf(of)];
  const targets = among ? all.filter((t) => t.move?.kind === 'screen' && !t.move.mode) : all;
  const choose = async (c: Target) => {
    if (c.id === 'new') return setMaking(c.words.slice(5));
    if (c.Form) return setForm({ Form: c.Form });
    if (c.action) return c.action.body ? added(c.action.body) : setDoing(c.action);
    onClose();
    if (c.move?.kind === 'screen' && c.move.mode === 'add') return edit(putMove(wayRef, c.move, id));
    const screen = c.move?.kind === 'screen' ? screenOf(entities, c.move.target) : undefined;
    if (screen && among) return edit(await putAmong(wayRef, id, among, screen));
    if (screen) return edit(putMove(wayRef, await moveTo(wayRef, screen), id));
    if (c.group === shared) return edit(put(entities, wayRef.at, { use: c.id, give: await givenTo(wayRef, c.id) }));
    return edit(putMove(wayRef, c.move, id));
  };
  const taken = (title: string) => screensOf(entities).some((s) => s.title.toLowerCase() === title.toLowerCase());
  return (
    <Picker
      label="Where it leads"
      up
      coming={offers.isPending}
      choices={[...(among || wayRef.shared ? [] : sharedChoices(wayRef)), ...targets]}
      make={(t) =>
        among || taken(t)
          ? undefined
          : { id: 'new', words: `make ${t}`, note: 'a new screen, with a way back', glyph: 'plus', group: 'New' }
      }
      onChoose={(c) => void choose(c)}
      onClose={onClose}
    />
  );
}

const shared = 'Shared gates';

function sharedChoices(w: WayRef): Choice[] {
  return sharedGatesOf(w.entities).map((g) => ({
    id: g.id,
    words: `through “${g.name}”`,
    note: 'a shared gate',
    glyph: 'choice',
    group: shared,
  }));
}

/** Another screen in the place of one of those that are chosen among. */
async function putAmong(w: WayRef, id: string, item: string, screen: ScreenDoc) {
  const move = moveOf(w, id);
  const now = move?.kind === 'choice' ? move.among[item] : undefined;
  if (!now) return [];
  const { bind } = await moveTo(w, screen);
  const next: Among = { ...now, target: screen.id, bind };
  return putInMove(w, id, ['among', item], next);
}

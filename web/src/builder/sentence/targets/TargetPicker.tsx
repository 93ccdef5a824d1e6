import { useQuery } from '@tanstack/react-query';
import { type ComponentType, useState } from 'react';
import { api, ask } from '../../../api/client';
import type { Target as Among } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { sharedGatesOf } from '../../../document/project';
import { type ScreenDoc, screenOf, screensOf } from '../../../document/screens';
import { useBuild } from '../../context';
import { type Choice, Picker } from '../../Picker';
import type { ChipProps } from '../chips/chip';
import { givenTo, moveTo } from '../proposals';
import { caseId, moveOf, putInMove, putMove, type WayRef } from '../wiring';
import { targetsOf } from './all';
import { MakeScreen } from './MakeScreen';
import type { Target } from './target';

/** Where a way leads: screens by area, shared gates, other projects, moves without a target, or a
 * new screen by typing its name. */
export function TargetPicker(p: ChipProps) {
  const { wayRef, onClose, chunk } = p;
  const { entities, edit, project } = useBuild();
  const [making, setMaking] = useState<string>();
  const [form, setForm] = useState<{ Form: ComponentType<ChipProps> }>();
  const offers = useQuery({
    queryKey: ['offers', project],
    queryFn: () => ask(api.GET('/api/build/{project}/offers', { params: { path: { project } } })),
  });
  const id = chunk.case || caseId(wayRef);
  if (making !== undefined) return <MakeScreen title={making} wayRef={wayRef} of={id} onClose={onClose} />;
  if (form) return <form.Form {...p} />;
  const among = chunk.item; // of a choice: only a screen fits
  const all = targetsOf({ entities, screen: wayRef.screen, offers: offers.data ?? [] });
  const targets = among ? all.filter((t) => t.move?.kind === 'screen') : all;
  const choose = async (c: Target) => {
    if (c.id === 'new') return setMaking(c.words.slice(5));
    if (c.Form) return setForm({ Form: c.Form });
    onClose();
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

import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { Op } from '../../../../api/client';
import type { Effect } from '../../../../document/document.gen';
import { newId } from '../../../../document/edit';
import { effectsOf } from '../../../../document/gates';
import { type Kept, posBehind } from '../../../../document/parts';
import { useBuild } from '../../../context';
import { Picker } from '../../../Picker';
import { Pop } from '../../../Pop';
import type { ChipProps } from '../../chips/chip';
import { caseOf, type WayRef } from '../../wiring';
import { actionsOf, formOf, newForm } from '../all';
import type { Body, Kind } from '../effect';
import { type Standing, StandingActions } from './EffectFrame';
import { putEffect } from './putEffect';

/** What is done before one is moved, found by any word of it; one that is there is changed, put
 * before or after the others, or taken away. */
export function EffectPicker({ chunk, wayRef, onClose }: ChipProps) {
  const { entities, edit, screen } = useBuild();
  const [kind, setKind] = useState<Kind>();
  const all = effectsOf(caseOf(wayRef, chunk.case));
  const effect = all.find((e) => e.id === chunk.item);
  const done = (ops: Op[]) => {
    onClose();
    void edit(ops);
  };
  const onDone = (body: Body, also: Op[] = []) => {
    const next = { ...body, pos: effect?.pos ?? posBehind(all) };
    done([...also, ...putEffect(wayRef, chunk.case, effect?.id ?? newId('d'), next)]);
  };
  if (effect) {
    const { id, ...own } = effect;
    const standing = standingOf(id, all, wayRef, chunk.case, done);
    const form = formOf(own, { wayRef, standing, onClose, onDone });
    return (
      form ?? (
        <Pop label="This action" onClose={onClose}>
          <Flex p="12px" gap="8px" align="center">
            {chunk.text}
            <StandingActions standing={standing} />
          </Flex>
        </Pop>
      )
    );
  }
  if (kind) return newForm(kind, { wayRef, onClose, onDone }) ?? null;
  const actions = actionsOf({ entities, screen });
  return (
    <Picker
      label="First do"
      up
      choices={actions}
      onClose={onClose}
      onChoose={(c) => (c.body ? onDone(c.body) : setKind(c.kind))}
    />
  );
}

/** What can be done with one of several effects: they are done in the order of their positions. */
function standingOf(
  id: string,
  all: Kept<Effect>[],
  w: WayRef,
  of: string | undefined,
  done: (ops: Op[]) => void,
): Standing {
  const i = all.findIndex((e) => e.id === id);
  const turned = (to: number) => () => {
    const order = all.filter((e) => e.id !== id);
    order.splice(to, 0, ...all.filter((e) => e.id === id));
    done(order.flatMap(({ id, ...e }, pos) => putEffect(w, of, id, { ...e, pos: pos + 1 })));
  };
  return {
    remove: () => done(putEffect(w, of, id, undefined)),
    sooner: i > 0 ? turned(i - 1) : undefined,
    later: i < all.length - 1 ? turned(i + 1) : undefined,
  };
}

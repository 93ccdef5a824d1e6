import type { Move } from '../../../document/document.gen';
import { actionsOf } from '../effects/all';
import { address } from './address';
import { along } from './along';
import { choice } from './choice';
import { project } from './project';
import { screen } from './screen';
import { step } from './step';
import type { Target, TargetKind, TargetsOf } from './target';
import { task } from './task';
import { back, close, forward, home, out, stay, up } from './without';

/** Each kind of move, in the order in which they are offered: one that is missing here does not compile. */
export const targets: { [K in Move['kind'] | 'stay']: TargetKind } = {
  screen,
  step,
  task,
  address,
  project,
  choice,
  along,
  back,
  forward,
  home,
  up,
  close,
  stay,
  out,
};

/** All that a way of a screen can lead to. */
export function targetsOf(of: TargetsOf): Target[] {
  return Object.values(targets).flatMap((kind) => kind(of));
}

/** What a way can do instead of leading somewhere, or before, by any word of it: whoever looks for “print” finds it. */
export function doingOf({ entities, screen }: TargetsOf): Target[] {
  return actionsOf({ entities, screen }).map((action) => ({
    id: `do:${action.id}`,
    words: action.words,
    note: action.note,
    group: `Do: ${action.group.toLowerCase()}`,
    action,
  }));
}

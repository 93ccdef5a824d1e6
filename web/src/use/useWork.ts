import { useMemo } from 'react';
import type { Title } from '../api/client';
import type { WorkHands } from '../screen/context';
import type { Calls } from '../trail/calls';
import type { Press } from '../trail/Press';

interface WorkProps {
  call: Calls;
  files: boolean; // lists may be saved as files
  screen: string;
  keepLook: WorkHands['keepLook'];
  titles: Record<string, Title>;
  adding: string | undefined;
  setAdding: (list: string | undefined) => void;
  onAddParent: (field: string) => void;
  press: Press;
}

/** What is kept for a user on one screen, in the form in which elements ask for it. */
export function useWork({
  call,
  files,
  screen,
  keepLook,
  titles,
  adding,
  setAdding,
  onAddParent,
  press,
}: WorkProps): WorkHands {
  return useMemo(
    () => ({
      keepLook,
      position: call.position,
      views: (list) => call.views(screen, list),
      keepView: async (list, choice) => void (await call.keepView(screen, list, choice)),
      dropView: async (list, name) => void (await call.dropView(screen, list, name)),
      csv: files ? call.csv : undefined,
      saveList: (list) => call.saveList(list).catch(press.tell),
      picture: call.picture,
      addParent: onAddParent,
      holding: (element) => ({
        begin: (id) => press.hold(element, id),
        renew: call.renew,
        letGo: call.letGo,
        onOver: (why) => press.say({ words: why, bad: true }),
      }),
      given: titles,
      adding,
      onAdding: setAdding,
    }),
    [call, files, screen, keepLook, titles, adding, setAdding, onAddParent, press],
  );
}

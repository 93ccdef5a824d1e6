import { Text } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { api, ask } from '../../../api/client';
import type { SitePlanElement } from '../../../document/document.gen';
import { put } from '../../../document/edit';
import { Action } from '../../../ui/controls';
import { useBuild } from '../../context';
import { edgesAround } from '../edges';

/** Puts the edges of a site plan around the records that lie on it. */
export function FitPart({ path, element: e }: { path: string[]; element: SitePlanElement }) {
  const { project, as, entities, edit } = useBuild();
  const { table = '', across = '', down = '' } = e;
  const fit = useMutation({
    mutationFn: async () => {
      const of = (field: string) =>
        ask(
          api.GET('/api/build/{project}/extent/{table}/{field}', {
            params: { path: { project, table, field }, query: { as } },
          }),
        );
      const [wide, high] = await Promise.all([of(across), of(down)]);
      const x = edgesAround(wide, { from: e.left ?? 0, to: e.right ?? 100 });
      const y = edgesAround(high, { from: e.top ?? 0, to: e.bottom ?? 100 });
      if (!x || !y) return false;
      const parts = { left: x.from, right: x.to, top: y.from, bottom: y.to };
      await edit(Object.entries(parts).flatMap(([name, value]) => put(entities, [...path, name], value)));
      return true;
    },
  });
  return (
    <>
      <Action tone="quiet" disabled={fit.isPending} onClick={() => fit.mutate()}>
        Fit the edges to the records
      </Action>
      {fit.data === false && (
        <Text role="alert" color="brick" fontSize="note">
          There are no records yet to fit them to.
        </Text>
      )}
      {fit.error && (
        <Text role="alert" color="brick" fontSize="note">
          {fit.error.message}
        </Text>
      )}
    </>
  );
}

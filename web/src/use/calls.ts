import { api, ask, type ListChoice, type Shown } from '../api/client';
import type { Arrangement } from '../screen/context';

/** The calls that a screen in use makes about itself, besides presses. */
export function calls(project: string, at: { trail: string; n: number; depth: number }) {
  const path = { params: { path: { project } } };
  const ofList = (element: string, screen: string) => ({ params: { path: { project, screen, element } } });
  return {
    arrange: (change: Arrangement): Promise<Shown> =>
      ask(api.POST('/api/use/{project}/arrange', { ...path, body: { ...at, ...change } })),
    more: (element: string, cursor: string, back: boolean) =>
      ask(api.POST('/api/use/{project}/rows', { ...path, body: { ...at, element, cursor, back } })),
    titles: (table: string, q: string) =>
      ask(api.GET('/api/use/{project}/titles/{table}', { params: { path: { project, table }, query: { q } } })),
    trend: (element: string) =>
      ask(
        api.GET('/api/use/{project}/trend', {
          params: { path: { project }, query: { trail: at.trail, n: at.n, element } },
        }),
      ),
    position: () => ask(api.POST('/api/use/{project}/position', { ...path, body: at })),
    addParent: (field: string) => ask(api.POST('/api/use/{project}/add-parent', { ...path, body: { ...at, field } })),
    takeDraft: (id: string) => ask(api.POST('/api/use/{project}/draft/take', { ...path, body: { ...at, id } })),
    forgetDraft: (id: string) => ask(api.POST('/api/use/{project}/draft/forget', { ...path, body: { ...at, id } })),
    keepDraft: (values: Record<string, string>) =>
      ask(api.POST('/api/use/{project}/draft', { ...path, body: { ...at, values, base: {} } })),
    views: (screen: string, element: string) =>
      ask(api.GET('/api/use/{project}/views/{screen}/{element}', ofList(element, screen))),
    keepView: (screen: string, element: string, body: ListChoice) =>
      ask(api.PUT('/api/use/{project}/views/{screen}/{element}', { ...ofList(element, screen), body })),
    dropView: (screen: string, element: string, name: string) =>
      ask(
        api.DELETE('/api/use/{project}/views/{screen}/{element}', {
          params: { path: { project, screen, element }, query: { name } },
        }),
      ),
    csv: (element: string) =>
      `/api/use/${project}/csv?${new URLSearchParams({ trail: at.trail, n: String(at.n), depth: String(at.depth), element })}`,
    picture: (field: string, digest: string) =>
      `/api/use/${project}/image?${new URLSearchParams({ trail: at.trail, n: String(at.n), depth: String(at.depth), field, digest })}`,
  };
}

export type Calls = ReturnType<typeof calls>;

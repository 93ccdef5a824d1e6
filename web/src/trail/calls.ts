import { api, ask, type ListChoice, type Look, type PressRequest, type Shown } from '../api/client';
import { askFile } from '../api/file';
import { saveFile } from '../ui/files/saveFile';
import type { Arrangement } from './asking';
import type { DraftBody } from './Draft';
import type { TrailCalls } from './Trail';

/** A place of a trail, and which of what lies over it. */
export interface At {
  trail: string;
  n: number;
  depth: number;
}

/** The calls by which a tab goes along its trail. */
export function trailCalls(project: string): TrailCalls {
  const path = { params: { path: { project } } };
  return {
    open: (body) => ask(api.POST('/api/use/{project}/open', { ...path, body })),
    fork: (body) => ask(api.POST('/api/use/{project}/fork', { ...path, body })),
    go: (body) => ask(api.POST('/api/use/{project}/go', { ...path, body })),
  };
}

/** The calls that a screen in use makes. */
export function calls(project: string, at: At) {
  const path = { params: { path: { project } } };
  const ofList = (element: string, screen: string) => ({ params: { path: { project, screen, element } } });
  const query = (more: Record<string, string>) =>
    new URLSearchParams({ trail: at.trail, n: String(at.n), depth: String(at.depth), ...more });
  return {
    press: (body: PressRequest) => ask(api.POST('/api/use/{project}/press', { ...path, body })),
    pressLast: async (body: PressRequest) => {
      try {
        return (await api.POST('/api/use/{project}/press', { ...path, body, keepalive: true })).response.ok;
      } catch {
        return false; // nobody waits for it
      }
    },
    /** Goes on holding a button; gives why that is over, or nothing. */
    renew: async (press: string): Promise<string | undefined> => {
      const { error, response } = await api.PUT('/api/use/{project}/holds/{press}', {
        params: { path: { project, press } },
      });
      return response.status === 409 || response.status === 401
        ? (error?.what ?? 'It is not held any more.')
        : undefined;
    },
    letGo: (press: string) =>
      api.DELETE('/api/use/{project}/holds/{press}', { params: { path: { project, press } }, keepalive: true }),
    callUp: (occurrence: number): Promise<Shown> =>
      ask(api.POST('/api/use/{project}/callup', { ...path, body: { trail: at.trail, n: at.n, occurrence } })),
    arrange: (change: Arrangement): Promise<Shown> =>
      ask(api.POST('/api/use/{project}/arrange', { ...path, body: { ...at, ...change } })),
    more: (element: string, cursor: string, back: boolean) =>
      ask(api.POST('/api/use/{project}/rows', { ...path, body: { ...at, element, cursor, back } })),
    titles: (table: string, q: string, key?: string) =>
      ask(api.GET('/api/use/{project}/titles/{table}', { params: { path: { project, table }, query: { q, key } } })),
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
    keepDraft: (draft: DraftBody, last = false) =>
      ask(api.POST('/api/use/{project}/draft', { ...path, body: { ...at, ...draft }, keepalive: last })),
    keepLooks: async (look: Record<string, Look>, last: boolean) =>
      (await ask(api.POST('/api/use/{project}/look', { ...path, body: { ...at, look }, keepalive: last }))).elements,
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
    csv: (element: string) => `/api/use/${project}/csv?${query({ element })}`,
    saveList: async (element: string) => {
      const { name, content } = await askFile(`/api/use/${project}/csv?${query({ element })}`);
      saveFile(name, content);
    },
    picture: (field: string, digest: string) => `/api/use/${project}/image?${query({ field, digest })}`,
  };
}

export type Calls = ReturnType<typeof calls>;

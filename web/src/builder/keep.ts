import { api, ask, Refused } from '../api/client';
import type { Clip, Picture } from '../document/document.gen';
import { newId, type Op } from '../document/edit';
import { wordsOfProblem } from '../trail/Press';
import { readClip } from '../ui/files/clipFile';
import { UnfitFile } from '../ui/files/files';
import { readPicture } from '../ui/files/pictureFile';

/** What a project keeps the bytes of: pictures, and clips. */
export type Sort = 'picture' | 'clip';

/** Keeps the bytes of a file, of a picture made smaller where it is large: what the document names it by. A no is thrown. */
export async function keepFile(project: string, file: File, sort: Sort) {
  const params = { path: { project } };
  if (sort === 'clip')
    return ask(api.POST('/api/build/{project}/clips', { params, body: { data: await readClip(file) } }));
  return ask(api.POST('/api/build/{project}/pictures', { params, body: { data: await readPicture(file) } }));
}

/** Keeps a file for the project: its id, and the edit that makes it known. A no is thrown. */
export async function keep(project: string, file: File, sort: Sort, words: string): Promise<{ id: string; op: Op }> {
  const kept = await keepFile(project, file, sort);
  const id = newId(sort === 'clip' ? 'cl' : 'im');
  const body: Picture | Clip = {
    kind: sort,
    name: file.name.replace(/\.\w+$/, ''),
    words: words.trim(),
    digest: kept.digest,
  };
  return { id, op: { op: 'add', path: `/${id}`, value: body } };
}

/** What to say of a file that could not be kept; anything else that went wrong is thrown on. */
export function whyNotKept(e: unknown): string {
  if (e instanceof UnfitFile) return e.message;
  if (e instanceof Refused) return wordsOfProblem(e.problem);
  throw e;
}

import { api, ask, Refused } from '../api/client';
import type { Picture } from '../document/document.gen';
import { newId, type Op } from '../document/edit';
import { wordsOfProblem } from '../trail/Press';
import { NoPicture, readPicture } from '../ui/pictureFile';

/** Keeps the bytes of a picture file, made smaller where it is large: what the document names it by. A no is thrown. */
export async function keepFile(project: string, file: File) {
  const data = await readPicture(file);
  return ask(api.POST('/api/build/{project}/pictures', { params: { path: { project } }, body: { data } }));
}

/** Keeps a file as a picture of the project: its id, and the edit that makes it known. A no of the server is thrown. */
export async function keepPicture(project: string, file: File, words: string): Promise<{ id: string; op: Op }> {
  const kept = await keepFile(project, file);
  const id = newId('im');
  const body: Picture = {
    kind: 'picture',
    name: file.name.replace(/\.\w+$/, ''),
    words: words.trim(),
    digest: kept.digest,
  };
  return { id, op: { op: 'add', path: `/${id}`, value: body } };
}

/** What to say of a picture that could not be kept; anything else that went wrong is thrown on. */
export function whyNotKept(e: unknown): string {
  if (e instanceof NoPicture) return e.message;
  if (e instanceof Refused) return wordsOfProblem(e.problem);
  throw e;
}

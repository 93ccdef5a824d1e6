import { api, ask } from '../api/client';
import type { Picture } from '../document/document.gen';
import { newId, type Op } from '../document/edit';

/** Keeps a file as a picture of the project: its id, and the edit that makes it known. A no of the server is thrown. */
export async function keepPicture(project: string, file: File, words: string): Promise<{ id: string; op: Op }> {
  const data = await dataUrl(file);
  const kept = await ask(api.POST('/api/build/{project}/pictures', { params: { path: { project } }, body: { data } }));
  const id = newId('im');
  const body: Picture = {
    kind: 'picture',
    name: file.name.replace(/\.\w+$/, ''),
    words: words.trim(),
    digest: kept.digest,
  };
  return { id, op: { op: 'add', path: `/${id}`, value: body } };
}

function dataUrl(file: File): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error);
    reader.readAsDataURL(file);
  });
}

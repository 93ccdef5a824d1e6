import { useEffect, useState } from 'react';
import type { ClipElement, ImageElement } from '../../document/document.gen';
import { newId, put } from '../../document/edit';
import { posBehind } from '../../document/parts';
import { elementsOf } from '../../document/screens';
import { useSteady } from '../../ui/useSteady';
import { useBuild } from '../context';
import { keep, type Sort, whyNotKept } from '../keep';

const sortOf = (f: File): Sort | undefined =>
  f.type.startsWith('image/') ? 'picture' : f.type.startsWith('video/') ? 'clip' : undefined;

/** A picture or clip that is dropped on the stage, or pasted while nothing is typed in: it is kept, and put below everything. */
export function usePutPicture() {
  const { project, entities, screen, edit, choose } = useBuild();
  const [problem, setProblem] = useState<string>();
  const take = useSteady(async (files: Iterable<File>) => {
    const file = [...files].find(sortOf);
    const sort = file && sortOf(file);
    if (!file || !sort) return setProblem('Only pictures and clips can be put here.');
    setProblem(undefined);
    try {
      const { id, op } = await keep(project, file, sort, '');
      const all = elementsOf(entities, screen);
      const row = Math.max(0, ...all.map((e) => e.cell.row + Math.max(1, e.cell.h ?? 1) - 1)) + 1;
      const element = newId('e');
      const place = { pos: posBehind(all), cell: { row, col: 1, w: 4, h: 4 } };
      const body: ImageElement | ClipElement =
        sort === 'clip' ? { kind: 'clip', ...place, clip: id } : { kind: 'image', ...place, picture: id };
      await edit([op, ...put(entities, [screen, 'elements', element], body)]);
      choose(element);
    } catch (e) {
      setProblem(whyNotKept(e));
    }
  });
  useEffect(() => {
    const paste = (e: ClipboardEvent) => {
      const files = e.clipboardData?.files;
      const typing =
        e.target instanceof Element && e.target.closest('input, textarea, select, [role=dialog], [contenteditable]');
      if (!files?.length || typing) return;
      e.preventDefault();
      void take(files);
    };
    document.addEventListener('paste', paste);
    return () => document.removeEventListener('paste', paste);
  }, [take]);
  const hands = {
    onDragOver: (e: React.DragEvent) => {
      if (e.dataTransfer.types.includes('Files')) e.preventDefault();
    },
    onDrop: (e: React.DragEvent) => {
      if (e.dataTransfer.files.length === 0) return;
      e.preventDefault();
      void take(e.dataTransfer.files);
    },
  };
  return { hands, problem, dismiss: () => setProblem(undefined) };
}

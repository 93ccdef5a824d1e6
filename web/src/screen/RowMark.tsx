import type { RowFaceView } from '../api/client';

const shapes: Record<string, string> = { good: '●', warn: '▲', stop: '■', strong: '◆', quiet: '○' };

/** The mark of a row or point that stands out: by its shape too, not by colour alone. */
export function RowMark({ face }: { face: RowFaceView | undefined }) {
  const tone = face?.tone ?? '';
  return (
    <span className="row-mark" data-tone={tone || undefined} aria-hidden>
      {shapes[tone] ?? '●'}
    </span>
  );
}

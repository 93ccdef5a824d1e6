import { afterEach, expect, test, vi } from 'vitest';
import { readPicture } from './pictureFile';

interface Drawn {
  width: number;
  height: number;
  quality: number;
}

/** A browser whose pictures take so many bytes for each of their points, and what it was asked to draw. */
function browser(width: number, height: number, bytesOfPoint: number) {
  const drawn: Drawn[] = [];
  vi.stubGlobal('createImageBitmap', () => Promise.resolve({ width, height }));
  vi.stubGlobal('document', {
    createElement: () => {
      const canvas = {
        width: 0,
        height: 0,
        getContext: () => ({ drawImage: () => {} }),
        toDataURL: (_: string, quality: number) => {
          drawn.push({ width: canvas.width, height: canvas.height, quality });
          return 'x'.repeat(Math.ceil((canvas.width * canvas.height * bytesOfPoint * quality) / 0.75));
        },
      };
      return canvas;
    },
  });
  return drawn;
}

const file = (size: number) => new File([new Uint8Array(size)], 'photo.png', { type: 'image/png' });

afterEach(() => vi.unstubAllGlobals());

test('a large picture is drawn at the width that is shown at most, once where that is small enough', async () => {
  const drawn = browser(2600, 2200, 0.5);
  await readPicture(file(20_000_000));
  expect(drawn).toEqual([{ width: 1600, height: 1354, quality: 0.85 }]);
});

test('what is still too much is drawn less well, then smaller, until it is kept', async () => {
  const drawn = browser(2600, 2200, 3);
  const url = await readPicture(file(20_000_000));
  expect(drawn.map((d) => [d.width, d.quality])).toEqual([
    [1600, 0.85],
    [1600, 0.7],
    [1120, 0.6],
  ]);
  expect(url.length * 0.75).toBeLessThan(2_000_000);
});

test('one that is small is wide as it is', async () => {
  const drawn = browser(300, 200, 1);
  await readPicture(file(500_000));
  expect(drawn.map((d) => d.width)).toEqual([300]);
});

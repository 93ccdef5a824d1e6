import { asURL, UnfitFile } from './files';

const widest = 1600; // px: what is larger is made smaller before it is sent
const small = 400_000; // bytes that are sent as they are
const usual = 2_000_000; // bytes: what an application keeps of a picture at most

/** How a picture is drawn anew: how good, and how large of what it is to be; the next where it is still too much. */
const tries = [
  [0.85, 1],
  [0.7, 1],
  [0.6, 0.7],
  [0.5, 0.4],
] as const;

/** What the program keeps as it is; everything else that the browser can show is drawn anew. */
const kept = ['image/png', 'image/jpeg', 'image/webp', 'image/gif'];

/** A picture file as a data URL, made smaller where it is large, for as many bytes as are kept. A drawing (SVG) stays what it is. */
export async function readPicture(file: File, most = usual): Promise<string> {
  if (file.type === 'image/svg+xml') return asURL(file);
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new UnfitFile('This file is no picture that can be shown.');
  });
  if (file.size <= small && kept.includes(file.type)) return asURL(file);
  const fit = Math.min(1, widest / Math.max(bitmap.width, bitmap.height));
  let url = '';
  for (const [quality, share] of tries) {
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(bitmap.width * fit * share));
    canvas.height = Math.max(1, Math.round(bitmap.height * fit * share));
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    url = canvas.toDataURL('image/webp', quality); // which keeps what is transparent
    if (url.length * 0.75 <= most * 0.98) break; // of its letters, as bytes
  }
  return url;
}

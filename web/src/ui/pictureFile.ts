import { asURL, UnfitFile } from './files';

const widest = 1600; // px: what is larger is made smaller before it is sent
const small = 400_000; // bytes that are sent as they are

/** What the program keeps as it is; everything else that the browser can show is drawn anew. */
const kept = ['image/png', 'image/jpeg', 'image/webp', 'image/gif'];

/** A picture file as a data URL, made smaller where it is large. A drawing (SVG) stays what it is. */
export async function readPicture(file: File): Promise<string> {
  if (file.type === 'image/svg+xml') return asURL(file);
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new UnfitFile('This file is no picture that can be shown.');
  });
  if (file.size <= small && kept.includes(file.type)) return asURL(file);
  const scale = Math.min(1, widest / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/webp', 0.85); // which keeps what is transparent
}

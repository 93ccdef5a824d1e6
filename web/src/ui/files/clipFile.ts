import { asURL, UnfitFile } from './files';

const most = 8_000_000; // bytes that the program keeps of a clip

/** A clip file as a data URL: only what the browser can play, since that is what it is kept for. */
export async function readClip(file: File): Promise<string> {
  if (file.size > most)
    throw new UnfitFile('This clip is too large: at most 8 MB are kept. Make it smaller or shorter.');
  const url = URL.createObjectURL(file);
  try {
    await new Promise((done, failed) => {
      const video = document.createElement('video');
      video.onloadedmetadata = done;
      video.onerror = () => failed(new UnfitFile('This file is no clip that can be played.'));
      video.src = url;
    });
  } finally {
    URL.revokeObjectURL(url);
  }
  return asURL(file);
}

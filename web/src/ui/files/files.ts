/** A file that the browser cannot show or play; it says so. */
export class UnfitFile extends Error {}

/** A file as a data URL. */
export function asURL(file: File): Promise<string> {
  return new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result));
    reader.onerror = () => failed(reader.error);
    reader.readAsDataURL(file);
  });
}

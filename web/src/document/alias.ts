/** A legal name for expressions, made from words. */
export function aliasOf(name: string): string {
  const words = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '_')
    .replace(/^_+|_+$/g, '');
  return /^[a-z]/.test(words) ? words : `c_${words}`;
}

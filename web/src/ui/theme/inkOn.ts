/** Black or white, whichever reads better on a ground (#rrggbb): at least 4.5 to 1 (WCAG 2.2, relative luminance). */
export function inkOn(ground: string): string {
  const part = (at: number) => {
    const c = Number.parseInt(ground.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  };
  const light = 0.2126 * part(1) + 0.7152 * part(3) + 0.0722 * part(5);
  return light > 0.179 ? '#000000' : '#ffffff';
}

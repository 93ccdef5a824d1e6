const wanted = 4; // steps, about

/**
 * Round numbers that numbers lie between, with room at both ends: from nothing on where they are not far from it; whole
 * ones between whole ones.
 */
export function ticks(numbers: number[]): number[] {
  const most = Math.max(...numbers, Number.NEGATIVE_INFINITY);
  const least = Math.min(...numbers, Number.POSITIVE_INFINITY);
  if (!Number.isFinite(most) || !Number.isFinite(least)) return [0, 1];
  const from = least >= 0 && least < most * 0.6 ? 0 : least;
  const wide = most - from || Math.abs(most) || 1;
  const power = 10 ** Math.floor(Math.log10(wide / wanted));
  const round = ([1, 2, 5, 10].find((m) => wide / (m * power) <= wanted) ?? 10) * power;
  const step = numbers.every(Number.isInteger) ? Math.max(1, round) : round;
  const out: number[] = [];
  const near = Math.floor(from / step);
  const first = near !== 0 && near * step === from ? near - 1 : near;
  for (let i = first; out.length < 2 || (i - 1) * step <= most; i++) out.push(Number((i * step).toPrecision(12)));
  return out;
}

/** Where a number lies between the first and the last of them, in hundredths. */
export function placed(n: number, between: number[]): number {
  const a = between[0] ?? 0;
  const b = between.at(-1) ?? 1;
  return (100 * (n - a)) / (b - a || 1);
}

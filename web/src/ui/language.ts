/** What writes numbers and dates in a language. English puts the day before the month. */
export function written(language: string) {
  const dates = language === 'en' ? 'en-GB' : language;
  return {
    /** A count. */
    count: (n: number) => n.toLocaleString(language),
    /** A number that was measured, short: 1,240 or 12.5. */
    amount: (n: number) => n.toLocaleString(language, { maximumFractionDigits: n < 100 ? 1 : 0 }),
    /** With just so many decimals. */
    fixed: (n: number, digits: number) =>
      n.toLocaleString(language, { minimumFractionDigits: digits, maximumFractionDigits: digits, useGrouping: false }),
    day: (at: Date, how: Intl.DateTimeFormatOptions) => at.toLocaleDateString(dates, how),
    clock: (at: number) => new Date(at).toLocaleTimeString(dates, { hour: '2-digit', minute: '2-digit' }),
    /** What stands before decimals. */
    point: () => (0.5).toLocaleString(language).charAt(1),
  };
}

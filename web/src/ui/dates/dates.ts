const day = 86_400_000; // ms

/** A day as years, months from 1 and days; undefined where there is no such day. */
function iso(y: number, m: number, d: number): string | undefined {
  const at = new Date(Date.UTC(y, m - 1, d));
  if (y < 1 || y > 9999 || at.getUTCMonth() !== m - 1 || at.getUTCDate() !== d) return undefined;
  at.setUTCFullYear(y);
  return at.toISOString().slice(0, 10);
}

const localeOf = (language: string) => (language === 'en' ? 'en-GB' : language);

/** The months of a language as they are written, long and short. */
function monthsOf(language: string): string[][] {
  return (['long', 'short'] as const).map((month) => {
    const write = new Intl.DateTimeFormat(localeOf(language), { month, timeZone: 'UTC' });
    return Array.from({ length: 12 }, (_, m) =>
      write
        .format(Date.UTC(2026, m, 1))
        .toLowerCase()
        .replace('.', ''),
    );
  });
}

/** In which order a language writes days, months and years in numbers. */
function orderOf(language: string): ('day' | 'month' | 'year')[] {
  const parts = new Intl.DateTimeFormat(localeOf(language)).formatToParts(new Date(0));
  return parts.flatMap(({ type }) => (type === 'day' || type === 'month' || type === 'year' ? [type] : []));
}

const full = (year: number) => (year < 100 ? 2000 + year : year);

/** Words that mean a day near today, in English and in a language: how many days it is away. */
function near(word: string, language: string, today: string): number | undefined {
  if (/^[+-]\d{1,4}$/.test(word)) return Number(word);
  for (const l of ['en', language]) {
    const relative = new Intl.RelativeTimeFormat(l, { numeric: 'auto' });
    for (const by of [-2, -1, 0, 1, 2]) if (relative.format(by, 'day').toLowerCase() === word) return by;
    for (const weekday of ['long', 'short'] as const) {
      const write = new Intl.DateTimeFormat(localeOf(l), { weekday, timeZone: 'UTC' });
      for (let by = 1; by <= 7; by++)
        if (
          write
            .format(Date.parse(today) + by * day)
            .toLowerCase()
            .replace('.', '') === word
        )
          return by;
    }
  }
  return undefined;
}

/**
 * The day that somebody typed: as the language writes it in numbers or with the month's name, as ISO 8601 has it, or near
 * today (today, tomorrow, +7, the next Monday). Undefined where it is none.
 */
export function dayIn(typed: string, language: string, today: string): string | undefined {
  const text = typed.trim().toLowerCase();
  const exact = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text);
  if (exact) return iso(Number(exact[1]), Number(exact[2]), Number(exact[3]));
  const by = near(text, language, today);
  if (by !== undefined) return new Date(Date.parse(today) + by * day).toISOString().slice(0, 10);
  const words = text.split(/[\s./,-]+/).filter(Boolean);
  const year = Number(today.slice(0, 4));
  const named = words.findIndex((w) => /\p{L}{3,}/u.test(w));
  if (named >= 0) {
    const months = [...monthsOf(language), ...monthsOf('en')];
    const found = months.map((all) =>
      all.findIndex((m) => m.startsWith(words[named] ?? '') || (words[named] ?? '').startsWith(m)),
    );
    const month = found.find((m) => m >= 0);
    const numbers = words.filter((_, i) => i !== named).map(Number);
    const [d = Number.NaN, y = year] = numbers;
    return month === undefined || numbers.length > 2 || numbers.length < 1 ? undefined : iso(full(y), month + 1, d);
  }
  const numbers = words.map(Number);
  if (numbers.length < 2 || numbers.length > 3 || numbers.some((n) => !Number.isInteger(n))) return undefined;
  const order = orderOf(language).filter((part) => numbers.length === 3 || part !== 'year');
  const at = (part: 'day' | 'month' | 'year') => numbers[order.indexOf(part)];
  return iso(full(at('year') ?? year), at('month') ?? 0, at('day') ?? 0);
}

/** The moment that somebody typed: a day as above, and a time of the clock behind it; 0:00 where none is said. */
export function momentIn(typed: string, language: string, today: string): string | undefined {
  const exact = /^(\d{4}-\d{2}-\d{2})[T ](\d{2}:\d{2}(:\d{2})?)$/i.exec(typed.trim());
  if (exact) return `${exact[1]}T${exact[2]}`;
  const [, days = '', h, m = '00', s] = /^(.*?)(?:[\s,]+(\d{1,2})[:.](\d{2})(?::(\d{2}))?)?$/.exec(typed.trim()) ?? [];
  const found = dayIn(days, language, today);
  if (!found || Number(h ?? 0) > 23 || Number(m) > 59 || Number(s ?? 0) > 59) return undefined;
  return `${found}T${(h ?? '0').padStart(2, '0')}:${m}${s ? `:${s}` : ''}`;
}

/** A day or moment as people of the language write it; what is none as it stands. */
export function saidIn(value: string, language: string): string {
  const at = /^(\d{4}-\d{2}-\d{2})(?:T(\d{2}:\d{2}(?::\d{2})?))?/.exec(value);
  if (!at) return value;
  const how: Intl.DateTimeFormatOptions =
    language === 'en'
      ? { day: 'numeric', month: 'short', year: 'numeric' }
      : { day: '2-digit', month: '2-digit', year: 'numeric' };
  const date = new Date(`${at[1]}T00:00:00Z`).toLocaleDateString(localeOf(language), { ...how, timeZone: 'UTC' });
  return at[2] ? `${date} ${at[2]}` : date;
}

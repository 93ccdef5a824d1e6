/** How many records a table has, as the database estimates. */
export function rowsInWords(rows: number): string {
  if (rows < 0) return '';
  if (rows === 1) return '1 record';
  if (rows < 1_000_000) return `${rows.toLocaleString('en')} records`;
  return `${(rows / 1_000_000).toLocaleString('en', { maximumFractionDigits: 1 })} million records`;
}

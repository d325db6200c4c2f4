/**
 * A text as a CSV cell that no spreadsheet takes for a formula: one that begins with =, +, −, @, tab or a line break
 * gets an apostrophe in front, unless it is a plain number. Quotes are doubled.
 */
export function csvCell(value: string | number | null): string {
  if (value === null) return ''
  const text = String(value)
  const safe = /^[=+\-@\t\r\n]/.test(text) && !/^-?\d+(\.\d+)?$/.test(text) ? `'${text}` : text
  return /[",\r\n]/.test(safe) ? `"${safe.replace(/"/g, '""')}"` : safe
}

/** Lines of cells as CSV, with a header. */
export function csvTable(
  header: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
): string {
  return [header, ...rows].map((row) => row.map(csvCell).join(',')).join('\r\n') + '\r\n'
}

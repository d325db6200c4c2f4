/** A text from outside as plain Markdown: signs that would mark it up or end a table cell are escaped. */
export function markdownText(text: string): string {
  return text
    .replace(/[\\`*_{}[\]<>#|~]/g, '\\$&')
    .replace(/\s+/g, ' ')
    .trim()
}

/** The words of a field divided by commas: `"oem, , tray "` → `['oem', 'tray']`. */
export function wordsOf(typed: string): string[] {
  return typed
    .split(',')
    .map((word) => word.trim())
    .filter((word) => word !== '')
}

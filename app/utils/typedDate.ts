import { isValid, parse } from 'date-fns'

/** How people write a whole date; day before month where both are figures. */
const spellings = [
  'yyyy-MM-dd',
  'd MMM yyyy',
  'd MMMM yyyy',
  'd.M.yyyy',
  'd.M.yy',
  'd/M/yyyy',
  'EEE d MMM yyyy',
]

/**
 * The date that was typed or pasted; null where it is none.
 * @example '21 Nov 2026', '2026-11-21' and '21.11.26' are the same day
 */
export function typedDate(text: string): Date | null {
  const plain = text.trim()
  for (const spelling of spellings) {
    const date = parse(plain, spelling, new Date(2000, 0, 1))
    if (isValid(date) && date.getFullYear() > 1900) return date
  }
  return null
}

/** One field in which two states differ, both in words. */
export interface Difference {
  readonly path: string
  readonly saved: string
  readonly mine: string
}

/** The fields in which two states differ, by path, in the order of the first; a field that is missing or null is "—". */
export function differences(saved: object, mine: object, prefix = ''): Difference[] {
  const [a, b] = [saved as Record<string, unknown>, mine as Record<string, unknown>]
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) => {
    const path = prefix === '' ? key : `${prefix}.${key}`
    if (isGroup(a[key]) && isGroup(b[key])) return differences(a[key], b[key], path)
    const [one, other] = [inWords(a[key]), inWords(b[key])]
    return one === other ? [] : [{ path, saved: one, mine: other }]
  })
}

function isGroup(value: unknown): value is object {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function inWords(value: unknown): string {
  if (value === undefined || value === null || value === '') return '—'
  return typeof value === 'object' ? JSON.stringify(value) : String(value)
}

/**
 * A short tag of a state, the same wherever it is computed: keys in any order, a key that is left out like one that is
 * undefined. Two states with one tag are taken for the same (64 bits; a slip, not an attack, is what it guards against).
 *
 * @example stateTag({ b: 1, a: [2] }) === stateTag({ a: [2], b: 1, c: undefined })
 */
export function stateTag(state: unknown): string {
  const text = JSON.stringify(inOrder(state))
  // FNV-1a twice, with two offsets
  let [one, two] = [0x811c9dc5, 0x050c5d1f]
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i)
    one = Math.imul(one ^ code, 0x01000193)
    two = Math.imul(two ^ code, 0x01000193) ^ (two >>> 15)
  }
  return [one, two].map((hash) => (hash >>> 0).toString(16).padStart(8, '0')).join('')
}

function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, each]) => each !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, each]) => [key, inOrder(each)]),
  )
}

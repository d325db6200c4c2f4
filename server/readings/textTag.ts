import { createHash } from 'node:crypto'

/** A short tag of a text that is long, by which it is known again; of a state that somebody compares it is `stateTag`. */
export const textTag = (text: string | Uint8Array): string =>
  createHash('sha1').update(text).digest('hex').slice(0, 16)

const tags = new WeakMap<object, number>()

/** A tag of values that never change, of which the same are asked for again and again: each is looked through once. */
export function tagOfMany(values: readonly object[]): string {
  return textTag(new Uint8Array(Uint32Array.from(values, tagOf).buffer))
}

/** FNV-1a of a value as JSON. */
function tagOf(value: object): number {
  let tag = tags.get(value)
  if (tag !== undefined) return tag
  tag = 0x811c9dc5
  const text = JSON.stringify(value)
  for (let i = 0; i < text.length; i += 1) tag = Math.imul(tag ^ text.charCodeAt(i), 0x01000193)
  tags.set(value, (tag >>>= 0))
  return tag
}

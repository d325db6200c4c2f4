import { partLabel, type Part } from './part'
import { compared } from './vocabularies'

/**
 * The part of a library that a sentence names, whatever else it says: of several names in it the longest, so that a
 * sister's longer name is not taken for the plain one. Null where none is named.
 *
 * @example partNamed('the Tarn 660, about 160 used', [{ id: 't', make: '', name: 'Tarn 660' }]) // { id: 't' }
 */
export function partNamed<P extends Pick<Part, 'id' | 'make' | 'name'>>(
  text: string,
  library: readonly P[],
): P | null {
  const plain = compared(text)
  const named = library.flatMap((part) => {
    const names = [compared(partLabel(part)), compared(part.name)].filter(
      (name) => name.length >= fewest && plain.includes(name),
    )
    return names.length === 0 ? [] : [{ part, length: Math.max(...names.map((name) => name.length)) }]
  })
  named.sort((a, b) => b.length - a.length || (a.part.id < b.part.id ? -1 : 1))
  return named[0]?.part ?? null
}

/** Shorter names are words of the language as well. */
const fewest = 5

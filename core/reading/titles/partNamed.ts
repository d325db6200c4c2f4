import { partLabel, type Part } from '../../parts/part'
import { languages, states } from '../words/allWords'
import { normaliseTitle } from './normaliseTitle'

/** A price behind a name. */
const price = /\s+\p{Sc}?\s?\d+[.,]\d{2}\s*$/u
/** What a shop's row says behind the name of a thing of how it is. */
const conditions = languages.flatMap(({ state }) =>
  states.flatMap((each) => state[each].map((words) => ` ${words}`)),
)

/**
 * The part of a library that a name means, compared as titles of sales are compared: spaces, marks and case tell nothing
 * apart. A price and a condition behind the name are no part of it. Undefined where none is so named.
 *
 * @example `Brisk 57 8GB` means the part Brisk 57 8 GB, `Gorse X 379.00 opened` the part Gorse X
 */
export function partNamed<Named extends Pick<Part, 'make' | 'name'>>(
  library: readonly Named[],
  name: string,
): Named | undefined {
  const byKey = new Map(library.map((part) => [keyOf(partLabel(part)), part]))
  for (let words = name.trim(); words !== '';) {
    const found = byKey.get(keyOf(words))
    const shorter = withoutEnd(words)
    if (found || shorter === words) return found
    words = shorter
  }
  return undefined
}

const keyOf = (name: string) => normaliseTitle(name).join(' ')

function withoutEnd(words: string): string {
  if (price.test(words)) return words.replace(price, '')
  const plain = words.toLowerCase()
  const end = conditions.find((each) => plain.endsWith(each))
  return end ? words.slice(0, -end.length).trimEnd() : words
}

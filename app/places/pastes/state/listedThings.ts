import type { OfferRead } from '#core/reading/listings/offer'
import { partNamed } from '#core/reading/titles/partNamed'
import type { Part, Role } from '#core/parts/part'
import type { PasteInput } from '#shared/pastes/schemas'
import { slug } from '#shared/text/slug'

/** A thing of a listing in the preview: a part of the library, or one that is made of its name. */
export interface ListedThing {
  /** Empty: not in the library. */
  partId: string
  role: Role
  name: string
  quantity: number
  facts: Record<string, unknown>
  /** Not known which model it is. */
  open: boolean
  /** Of one piece, decimal text. */
  price: string | null
}

const longestName = 80

/** Whether words name a model: a figure in them that is no size, as in `Quill 70` and not in `16 GB of memory`. */
function namesModel(words: string): boolean {
  return /\d/.test(
    words.replace(/\b\d+(?:[.,]\d+)?\s?(?:x|×|gb|tb|w|watts?|mhz|mm|cores?|st)\b|\bddr\d\b/gi, ' '),
  )
}

/** What a listing was read to hold; where nothing was found in it, one thing that is called as it is. */
export function listedThings(
  { things }: OfferRead,
  title: string,
  library: readonly Part[] = [],
): ListedThing[] {
  const idOf = (words: string) => partNamed(library, words)?.id ?? ''
  const found = things.map((thing) => ({
    partId: thing.partId ?? idOf(thing.words),
    role: thing.role ?? 'extra',
    name: thing.words.slice(0, longestName),
    quantity: thing.quantity,
    facts: Object.fromEntries(Object.entries(thing.facts).map(([fact, read]) => [fact, read!.value])),
    open: !namesModel(thing.words),
    price: thing.price,
  }))
  if (found.length > 0) return found
  return [
    {
      partId: idOf(title),
      role: 'extra',
      name: title.slice(0, longestName),
      quantity: 1,
      facts: {},
      open: !namesModel(title),
      price: null,
    },
  ]
}

export const ofLibrary = ({ id, role, name }: Part): ListedThing => ({
  partId: id,
  role,
  name,
  quantity: 1,
  facts: {},
  open: false,
  price: null,
})

/** The id of a thing: of its part, or of the part that is made of its name. */
export const idOfThing = ({ partId, name }: ListedThing) => partId || slug(name)

/** The parts that are not there yet, each once however often it is listed. */
export function partsToMake(things: readonly ListedThing[], library: readonly Part[]): PasteInput['parts'] {
  const there = new Set(library.map(({ id }) => id))
  const made = new Map<string, PasteInput['parts'][number]>()
  for (const thing of things) {
    const id = idOfThing(thing)
    if (there.has(id) || made.has(id)) continue
    made.set(id, {
      id,
      role: thing.role,
      make: '',
      name: thing.name,
      facts: thing.facts as never,
      open: thing.open,
    })
  }
  return [...made.values()]
}

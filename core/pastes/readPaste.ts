import { seenText } from '../reading/listings/pageSource'
import { pasteKindNames, pasteKinds, type PasteKind } from './kinds'
import { PasteSeen, type PasteContext } from './pasteSeen'

/** What each kind of paste is read as. */
export type ReadAs<K extends PasteKind> = ReturnType<(typeof pasteKinds)[K]['read']>

/** A paste as one kind; which of them says `kind`. */
export type PasteReading<K extends PasteKind = PasteKind> = {
  readonly [Kind in K]: {
    readonly kind: Kind
    /** The text whose lines the reading counts: of the source of a page, what is seen of it. */
    readonly seen: string
    readonly read: ReadAs<Kind>
  }
}[K]

/**
 * What a text is taken for: the kind with the strongest claim; of two as strong the one that stands first in the list.
 *
 * @example kindOfPaste(new PasteSeen('Quill 70, works, $85', context)) // 'listing'
 */
export function kindOfPaste(seen: PasteSeen): PasteKind {
  if (seen.plain === '') return 'nothing'
  return pasteKindNames.reduce<readonly [PasteKind, number]>(
    (best, kind) => {
      const claim = pasteKinds[kind].claim(seen)
      return claim > best[1] ? [kind, claim] : best
    },
    ['nothing', 0],
  )[0]
}

/**
 * Reads a paste as what it is taken for, or as the kind that the builder has said.
 *
 * @param as the kind; left out: the strongest claim
 */
export function readPaste(text: string, context: PasteContext, as?: PasteKind): PasteReading {
  const seen = new PasteSeen(text, context)
  const kind = as ?? kindOfPaste(seen)
  return { kind, seen: seenText(text), read: pasteKinds[kind].read(seen) } as PasteReading
}

import { plainText, wordsOf } from '../../text/plainText'
import { wordsFor } from '../words/allWords'
import type { Condition, Manner } from './soldRecord'
import { wordsApart } from '../../text/wordsApart'
import { statesIn, worse } from './stateOf'

/** The state a cell names; the worst of several, null where it names none. */
export function conditionOf(cell: string): Condition | null {
  const said = statesIn(wordsOf(plainText(cell)))
  return said.reduce<Condition | null>((worst, { condition }) => worse(worst, condition), null)
}

/** The sale type a cell names; null where it names none. */
export function mannerOf(cell: string): Manner | null {
  const words = wordsOf(plainText(wordsApart(cell)))
  if (wordsFor('auction').has(words)) return 'auction'
  if (wordsFor('pickup').has(words) || words.some(({ word }) => word === 'local')) return 'local'
  return wordsFor('fixedPrice').has(words) ? 'fixed' : null
}

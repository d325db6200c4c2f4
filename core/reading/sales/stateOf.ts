import { phrases } from '../../text/phrases'
import { states, stateWords, wordsFor } from '../words/allWords'
import { plainText, wordsOf, type PlainWord } from '../../text/plainText'
import type { Condition } from './soldRecord'

/** A state said in a text, and by which words. */
export interface SaidState {
  readonly condition: Condition
  readonly at: number
  readonly length: number
}

/**
 * Every state that a text says, by the longest fit of its words: `like new` is used, not new. A word that is denied
 * (`no damage`, `never opened`) or put right (`bent pins fixed`) does not count.
 *
 * @example statesIn(wordsOf('sold as is')) // [{ condition: 'damaged' }]
 */
export function statesIn(words: readonly PlainWord[]): SaidState[] {
  const found: SaidState[] = []
  for (let index = 0; index < words.length; index += 1) {
    let best: SaidState | null = null
    for (const [condition, set] of stateWords) {
      const phrase = set.at(words, index)
      if (phrase && (best === null || phrase.length > best.length))
        best = { condition, at: index, length: phrase.length }
    }
    if (best === null) continue
    if (!isDenied(words, index) && !isPutRight(words, index + best.length) && !isOfPiece(words, best))
      found.push(best)
    index += best.length - 1
  }
  return found
}

/** `thermal paste renewed`, `with new fans`: said of a piece of it. */
function isOfPiece(words: readonly PlainWord[], { condition, at, length }: SaidState): boolean {
  if (condition !== 'new' && condition !== 'refurbished') return false
  return pieces.has(words[at - 1]?.word ?? '') || pieces.has(words[at + length]?.word ?? '')
}

const pieces: ReadonlySet<string> = new Set(
  phrases(`
    paste, pads, pad, thermal, fan, fans, cable, cables, battery, bearings, screws, warmeleitpaste, pate, pasta, kylpasta,
    lufter, flakt
  `),
)

/** Whether a word just before, or one before that, denies what stands at `index`. */
export function isDenied(words: readonly PlainWord[], index: number): boolean {
  const denies = wordsFor('denies')
  for (const back of [1, 2, 3]) {
    const phrase = index - back >= 0 ? denies.at(words, index - back) : null
    if (!phrase) continue
    if (index - back + phrase.length === index) return true
    if (phrase.length === 1 && back === 2 && anyWords.has(words[index - 1]!.word)) return true
  }
  return false
}

const anyWords: ReadonlySet<string> = new Set(
  phrases(`any, visible, known, real, major, more, longer, further`),
)

function isPutRight(words: readonly PlainWord[], index: number): boolean {
  return wordsFor('putRight').at(words, index) !== null
}

/** The worse of two states; null gives way to the other. */
export function worse(a: Condition | null, b: Condition | null): Condition | null {
  if (a === null || b === null) return a ?? b
  return states.indexOf(a) > states.indexOf(b) ? a : b
}

/** What a title alone says of the state: only words that can mean nothing else there. */
export function stateOfTitle(title: string): Condition | null {
  const words = wordsOf(plainText(title))
  const said = statesIn(words)
  if (said.some(({ condition }) => condition === 'damaged')) return 'damaged'
  const sure = said.filter(({ condition, at, length }) =>
    condition === 'new'
      ? length > 1 || sealed.has(words[at]!.word)
      : condition === 'opened' || condition === 'refurbished'
        ? true
        : false,
  )
  return sure.reduce<Condition | null>((worst, { condition }) => worse(worst, condition), null)
}

const sealed: ReadonlySet<string> = new Set(
  phrases(`
  sealed, bnib, unopened, fabrikneu, nagelneu, versiegelt, scelle, precintado, obruten, forseglad, neuf,
  nuevo, nueva, neuve, originalverpackt
`),
)

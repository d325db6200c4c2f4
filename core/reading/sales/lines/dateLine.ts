import { phrases } from '../../../text/phrases'
import { findAmounts, type Amount } from '../../amounts/findAmounts'
import { findDate } from '../../dates/findDate'
import { wordsFor } from '../../words/allWords'
import { areOnly, PhraseSet } from '../../words/phraseSet'
import type { PlainWord } from '../../../text/plainText'
import { outside, type Base, type LineContext, type ReadLine } from './readLine'

const saleWords = new PhraseSet(['sale', 'this', 'item', 'items', 'listing'])

/** A line that tells a day: of the sale, or of something else, which is about the page. */
export function dateLine(
  base: Base,
  raw: string,
  words: readonly PlainWord[],
  context: LineContext,
): ReadLine | null {
  const date = findDate(raw, context)
  if (!date) return null
  // `sold for $140 on Oct 3` says more than a day
  const isApart = ({ start, end }: Amount) => end <= date.start || start >= date.end
  if (findAmounts(raw, context.home, context.marks).some((each) => !each.isBare && isApart(each))) return null
  const rest = outside(words, [date]).filter(({ word }) => !/^\d{1,2}h?\d{0,2}$/.test(word))
  if (otherDays.has(words))
    return rest.length <= 4 && !rest.some(hasDigit) ? { ...base, kind: 'about' } : null
  const known = [wordsFor('besideDate'), wordsFor('sold'), saleWords]
  if (!areOnly(rest, known) && !areOnly(withoutName(rest), known)) return null
  return {
    ...base,
    kind: 'date',
    date,
    ...(listedDay.has(words) && !base.isSold ? { isUnsure: true } : {}),
    ...(wordsFor('auction').has(rest) || rest.some(({ word }) => auctionWords.has(word))
      ? { manner: 'auction' as const }
      : {}),
  }
}

/** Beside a day they tell how it was sold. */
const auctionWords: ReadonlySet<string> = new Set(['auction', 'auktion', 'auktionen', 'subasta', 'enchere'])

const hasDigit = ({ word }: PlainWord) => /\d/.test(word)

/** `20 Oct by harlow`: without the name of who sold or bought it. */
function withoutName(rest: readonly PlainWord[]): readonly PlainWord[] {
  const at = rest.findIndex((_, index) => wordsFor('aboutSeller').at(rest, index) !== null)
  return at >= 0 && rest.length - at <= 3 ? rest.slice(0, at) : rest
}

/** Of the page or the seller, not of the thing. */
const otherDays = new PhraseSet(
  phrases(`
    updated, refreshed, viewed, joined, member since, last seen, active, aktualisiert, mitglied seit, mis a jour, membre depuis,
    actualizado, uppdaterad, medlem sedan
  `),
)
/** The day a thing was put up: it counts only where the page has no other. */
const listedDay = new PhraseSet(
  phrases(
    'listed, posted, added, eingestellt, inseriert, mis en ligne, publie, publiee, publicado, publicada, inlagd, upplagd',
  ),
)

import { english } from './english'
import { french } from './french'
import { german } from './german'
import type { LanguageWords } from './languageWords'
import { PhraseSet } from './phraseSet'
import { plainText } from '../../text/plainText'
import { spanish } from './spanish'
import { swedish } from './swedish'

/** The languages that listings and pages are read in, all at once: nobody says which one theirs is. */
export const languages: readonly LanguageWords[] = [english, german, french, spanish, swedish]

type ListOf = {
  [K in keyof LanguageWords]: LanguageWords[K] extends readonly string[] ? K : never
}[keyof LanguageWords]

const all = (of: (language: LanguageWords) => readonly string[]) => new PhraseSet(languages.flatMap(of))
const sets = new Map<ListOf, PhraseSet>()

/** The words of one meaning in every language. */
export function wordsFor(meaning: ListOf): PhraseSet {
  let set = sets.get(meaning)
  if (!set) sets.set(meaning, (set = all((language) => language[meaning])))
  return set
}

export const states = ['new', 'opened', 'refurbished', 'used', 'damaged'] as const

/** Words for each state of a thing, worst last; the longest fit decides, so that `like new` is not new. */
export const stateWords: readonly (readonly [(typeof states)[number], PhraseSet])[] = states.map((state) => [
  state,
  all((language) => language.state[state]),
])

/** The month that a word means, 1 to 12, by its plain spelling. */
export const monthByWord: ReadonlyMap<string, number> = new Map(
  languages.flatMap(({ months }) =>
    months.flatMap((spellings, index) => spellings.map((word) => [plainText(word), index + 1] as const)),
  ),
)

export type Unit = keyof LanguageWords['units']

/** The unit of time that a word means, by its plain spelling. */
export const unitByWord: ReadonlyMap<string, Unit> = new Map(
  languages.flatMap(({ units }) =>
    (Object.entries(units) as [Unit, readonly string[]][]).flatMap(([unit, spellings]) =>
      spellings.map((word) => [plainText(word), unit] as const),
    ),
  ),
)

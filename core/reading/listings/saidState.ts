import { plainText, wordsOf } from '../../text/plainText'
import type { Condition } from '../sales/soldRecord'
import { statesIn, worse } from '../sales/stateOf'
import { broken, defectNames, defectWords, doubtful, unsure, working, type DefectName } from './listingWords'
import type { Found, Works } from './offer'

/** Works, does not, or is not sure to; what is denied or doubtful does not count as working. */
export function worksOf(text: string): Works {
  const plain = plainText(text)
  if (unsure.test(plain))
    return broken.test(plain.replace(unsure, '')) && !/for parts/.test(plain) ? 'no' : 'unknown'
  const isBroken = brokenIn(plain)
  if (isBroken && !/\b(works?|funktioniert|fungerar)\b.*\bbut\b/.test(plain)) return 'no'
  if (doubtful.test(plain)) return 'doubtful'
  return working.test(
    plain
      .replace(/\b(not|no|does ?n[o']t|never) (work\w*|tested)/g, '')
      .replace(/\b(from|out of) (a |an |my )?working\b/g, ''),
  )
    ? 'yes'
    : isBroken
      ? 'no'
      : 'unknown'
}

const saidOfAll =
  /\b(all|both|everything|each|every|alles|beide[sn]?|tout|toutes|tous|les deux|allt|alla|bada|todo|todos|ambos)\b/

/**
 * What is said of one thing of several alone (`Tarn 640, works, 60` above `Ostrel 55, untested, 90`); null where the
 * words are for all of them, or for none.
 */
export function worksOfThing(text: string, thing: Found, found: readonly Found[]): Works | null {
  if (found.length < 2) return null
  const said = found.map((each, at) => saidAlone(text.slice(each.start, found[at + 1]?.start)))
  const own = said[found.indexOf(thing)] ?? null
  const saying = said.filter((works) => works !== null).length
  if (saying > 1) return own
  const [only] = found.filter((_, at) => said[at] !== null)
  if (!only) return null
  const line = lineOf(text, only.start)
  const shared = found.filter(({ start }) => start >= line.start && start < line.end).length > 1
  if (shared || saidAlone(text.slice(only.start, line.end)) === null) return null
  return thing === only ? own : worksOf(text.slice(0, line.start) + text.slice(line.end))
}

function saidAlone(text: string): Works | null {
  const plain = plainText(text)
  if (saidOfAll.test(plain)) return null
  const works = worksOf(text)
  return works !== 'unknown' || unsure.test(plain) ? works : null
}

function lineOf(text: string, at: number): { start: number; end: number } {
  const end = text.indexOf('\n', at)
  return { start: text.lastIndexOf('\n', Math.max(0, at - 1)) + 1, end: end < 0 ? text.length : end }
}

/** `one dead RAM slot`: a place on it, not the thing. */
const ofPort = /^ (?:ram |memory |dimm |usb |sata |audio |fan |m\.2 )?(?:slots?|ports?|headers?|pixels?)\b/

/** A word of damage that is not denied, and was not put right. */
function brokenIn(plain: string): boolean {
  for (const match of plain.matchAll(new RegExp(broken.source, 'g'))) {
    const before = plain.slice(Math.max(0, match.index - 16), match.index)
    const after = plain.slice(match.index + match[0].length)
    if (ofPort.test(after)) continue
    if (!/\b(no|not|never|nothing|kein\w*|ohne|sans|utan|inga)\s+(\w+\s+)?$/.test(before)) return true
  }
  return false
}

/** The condition the words say, the worst where they say several; null where they say none. */
export function conditionOf(text: string, works: Works): Condition | null {
  const plain = plainText(text)
  const words = wordsOf(plain)
  const said = statesIn(words).filter(({ condition, at }) => condition !== 'new' || isOfThing(words, at))
  const damage = said.some(({ condition }) => condition === 'damaged')
  if (
    works === 'no' ||
    unsure.test(plain) ||
    (damage && works !== 'yes') ||
    (/\b(crack(ed)?|for parts|as is)\b/.test(plain) && !/\bno crack/.test(plain))
  )
    return 'damaged'
  if (works === 'doubtful' && /must hit|have to hit|crash/.test(plain)) return 'damaged'
  const rest = said.filter(({ condition }) => condition !== 'damaged')
  const sure =
    rest.find(({ condition }) => condition !== 'used' && condition !== 'new') ??
    rest.find(({ condition }) => condition === 'new' && sealedWords.test(plain))
  if (sure) return sure.condition
  const worst = rest.reduce<Condition | null>((found, each) => worse(found, each.condition), null)
  return worst ?? (works === 'yes' || works === 'doubtful' ? 'used' : null)
}

const sealedWords =
  /\b(sealed|brand new|never (used|opened|installed)|unopened|versiegelt|originalverpackt|neu\b|neuf|scelle|precintad|nuevo|oanvand|obruten|bnib|unused)/

/** `new price`, `new thermal paste`, `never used it on anything else`, `a new card`: said of another thing. */
function isOfThing(words: readonly { readonly word: string }[], at: number): boolean {
  const next = words[at + 1]?.word ?? ''
  const [it, where] = [words[at + 2]?.word ?? '', words[at + 3]?.word ?? '']
  if (it === 'it' && /^(on|with|in|for)$/.test(where)) return false
  const before = words[at - 1]?.word ?? ''
  return (
    !/^(price|thermal|paste|one|card|build|for|preis|\d+)$/.test(next) &&
    !/^(a|the|bought|for|was|is|cost|costs|paid|\d+)$/.test(before)
  )
}

/** Faults that are told and not denied or repaired. */
export function defectsOf(text: string): DefectName[] {
  const plain = plainText(text)
  const found = defectNames.filter((name) => {
    for (const match of plain.matchAll(new RegExp(defectWords[name].source, 'g'))) {
      const before = plain.slice(Math.max(0, match.index - 14), match.index)
      const after = plain.slice(match.index + match[0].length, match.index + match[0].length + 14)
      if (
        /\b(no|not|never|zero|without|kein\w*|sans|ohne|utan|inga)\s+(\w+\s+)?$/.test(before) &&
        name !== 'no-start'
      )
        continue
      if (/^\s*(were |was |now )?(fixed|repaired|straightened|replaced)/.test(after)) continue
      return true
    }
    return false
  })
  return found.length > 1
    ? found.filter((name) => name !== 'other')
    : found.filter((name) => name !== 'other' || !/\b(for parts|defekt|hs\b|dead|trasig)/.test(plain))
}

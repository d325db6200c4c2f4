import { answerOf, answersIn, m2Lengths, type VocabularyFact } from '../../parts/vocabularies'
import type { SpecLine } from './specLine'

/** Values of a specification, read from plain text: lengths in mm, powers in W, capacities in GB. */

export const number = (text: string): number | null => {
  const match = /(\d{1,3}(?:[ ,]\d{3})+(?!\d)|\d+(?:[.,]\d+)?)/.exec(text)
  if (!match) return null
  const plain = /[ ,]\d{3}/.test(match[1]!) ? match[1]!.replace(/[ ,]/g, '') : match[1]!.replace(',', '.')
  return Number(plain)
}
export const whole = (text: string): number | null => {
  const value = number(text)
  return value !== null && Number.isInteger(value) ? value : null
}

/** Watts of a text: the figure before `W`, else a bare one. */
export function watts(text: string): number | null {
  const all = [...text.matchAll(/(\d{2,4})\s?(?:w\b|watts?\b)/g)].map((match) => Number(match[1]))
  if (all.length > 0) return all[0]!
  return /^\D{0,3}\d{2,4}\D{0,3}$/.test(text) ? whole(text) : null
}

/** Every length of a text in mm; cm and inches are converted. */
export function lengths(text: string): number[] {
  const factor = (unit: string) => (unit === 'cm' ? 10 : unit === 'mm' ? 1 : 25.4)
  const dimensions =
    /(\d+(?:[.,]\d+)?)\s*(?:mm|cm)?\s*[x×]\s*(\d+(?:[.,]\d+)?)\s*(?:mm|cm)?(?:\s*[x×]\s*(\d+(?:[.,]\d+)?))?\s*(mm|cm|in\b|inch(?:es)?|")/.exec(
      text,
    )
  if (dimensions)
    return [dimensions[1], dimensions[2], dimensions[3]]
      .flatMap((each) => (each === undefined ? [] : [Number(each.replace(',', '.'))]))
      .map((each) => rounded(each * factor(dimensions[4]!)))
  return [...text.matchAll(/(\d+(?:[.,]\d+)?)\s*(mm|cm|inch(?:es)?|in\b|")/g)].map((match) =>
    rounded(Number(match[1]!.replace(',', '.')) * factor(match[2]!)),
  )
}

export function rounded(mm: number): number {
  return Math.round(mm * 10) / 10
}

/** The one length of a text: the least of several for a clearance, the greatest for a part. */
export const length =
  (which: 'least' | 'most') =>
  ({ plain }: SpecLine) => {
    const all = lengths(plain)
    if (all.length === 0) {
      const bare = /^\D{0,8}\d{2,3}(?:[.,]\d)?\D{0,3}$/.test(plain) ? number(plain) : null
      return bare
    }
    return which === 'least' ? Math.min(...all) : Math.max(...all)
  }

/** Gigabytes of a text; a terabyte is 1000. */
export function gigabytes(text: string): number | null {
  const match = /(\d+(?:[.,]\d+)?)\s?(tb|to|gb|go|gig|mb|g)\b/.exec(text)
  if (!match) return null
  const value = Number(match[1]!.replace(',', '.'))
  if (/^t/.test(match[2]!)) return value * 1000
  if (match[2] === 'mb') return value / 1024
  return value
}

export const yesWords =
  /\b(yes|ja|oui|si|included|inklusive|inclus|incluido|ingar|supported|available|with)\b|^✓|^y$/
export const noWords =
  /\b(no|nein|non|nej|none|not|without|ohne|sans|utan|sin|keine?|n\/a|aucun|ingen)\b|^[-–—✗x]$/
export function yesNo({ plain }: SpecLine): boolean | null {
  if (noWords.test(plain)) return false
  return yesWords.test(plain) ? true : null
}

export const answer =
  (fact: VocabularyFact) =>
  ({ plain, value }: SpecLine): string | null =>
    answerOf(fact, value) ?? answersIn(fact, plain)[0] ?? null
export const answers =
  (fact: VocabularyFact) =>
  ({ plain }: SpecLine): readonly string[] | null => {
    const found = answersIn(fact, plain)
    return found.length === 0 ? null : found
  }

/** So many of a thing: `4 x DIMM`, `4`, `4 slots`, `two`. */
export const countWords: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  six: 6,
  eight: 8,
  single: 1,
  dual: 2,
  triple: 3,
  quad: 4,
  zwei: 2,
  vier: 4,
  deux: 2,
  quatre: 4,
  fyra: 4,
  tva: 2,
  dos: 2,
  cuatro: 4,
  none: 0,
  no: 0,
  keine: 0,
  sans: 0,
}
export function count(text: string): number | null {
  const plain = /^\D{0,10}?(\d{1,2})(?!\d)/.exec(text)
  if (plain) return Number(plain[1])
  const word = /\b([a-z]+)\b/.exec(text)?.[1]
  return word !== undefined && word in countWords ? countWords[word]! : null
}
export const countOf = ({ plain }: SpecLine) => count(plain)

/** The count that stands before a thing among others, else the only one: `2 x M.2, 6 x SATA`. */
export function countBefore(text: string, thing: string): number | null {
  const named = new RegExp(String.raw`(\d{1,2})\s*(?:x|×|\*)?\s*(?:${thing})`).exec(text)
  if (named) return Number(named[1])
  return /[,;+]/.test(text) ? null : count(text)
}

/** Drive bays of a size: by the key, or by what stands beside the size in the value. */
export const bays =
  (size: string) =>
  ({ key, plain }: SpecLine) =>
    new RegExp(size).test(key) ? count(plain) : new RegExp(size).test(plain) ? countBefore(plain, size) : null

/** How many of what a pattern names, summed over a text: `2 x 8-pin, 1 x 6-pin`. */
export function sumOf(text: string, thing: string): number | null {
  const pattern = new RegExp(
    String.raw`(?:(\d{1,2}|one|two|three|four|dual|single)\s*(?:x|×|\*)?\s*)?\(?(?:${thing})`,
    'g',
  )
  let sum: number | null = null
  for (const match of text.matchAll(pattern)) {
    const said = match[1]
    sum = (sum ?? 0) + (said === undefined ? 1 : /\d/.test(said) ? Number(said) : countWords[said]!)
  }
  return sum
}

export const eightPin = String.raw`6\s?\+\s?2|\(6\+2\)|8(?:[\s-]?pin(?:s|es)?|[\s-]?pol(?:ig|iger)?|[\s-]?broches|[\s-]?stift)(?!\s?(?:eps|cpu|atx12v))`
export const sixPin = String.raw`(?<![+\d])6(?:[\s-]?pin(?:s|es)?|[\s-]?pol(?:ig|iger)?|[\s-]?broches|[\s-]?stift)(?!\s?\+)`
export const sixteenPin = String.raw`12\s?\+\s?4(?:[\s-]?pins?)?|16[\s-]?pins?|12v-?2x6|12vhpwr`
export const eps = String.raw`4\s?\+\s?4|8[\s-]?pins?|4[\s-]?pins?`
export const none = /\b(none|no|not required|nicht|aucun|ingen|keine?|n\/a|without|slot powered)\b/

export function slots(plain: string): number | null {
  const named = /(\d)\s*(?:x|×)?\s*(?:ddr\d\s*)?(?:u-?|so-?)?(?:dimms?|memory slots?|slots?|sockets?)/.exec(
    plain,
  )
  if (named) return Number(named[1])
  const kind = /\b(\d)\s*x\s*ddr\d\b/.exec(plain)
  if (kind) return Number(kind[1])
  // `DDR4` is a kind, no number of them
  const bare = plain.replace(/\(.*?\)/g, '')
  return /^\D{0,3}\d\D{0,3}$/.test(bare) && !bare.startsWith('ddr') ? count(bare) : null
}

/** The fastest memory that is not called overclocked. */
export function fastest(plain: string): number | null {
  const all = [...plain.matchAll(/(\d{4,5})\s?(?:mhz|mt\/s)?\s*([\s(+]*(?:o\.?c\.?|overclock\w*)\)?\+?)?/g)]
    .filter((match) => match[2] === undefined && Number(match[1]) >= 800 && Number(match[1]) <= 12_000)
    .map((match) => Number(match[1]))
  return all.length === 0 ? null : Math.max(...all)
}

export function generation(plain: string): string | null {
  const match = /\b(?:ddr|pc)\s?-?([2-5])l?(?![\d.])|\b(?:ddr|pc)([2-5])l?-\d{4,5}/.exec(plain)
  const digit = match?.[1] ?? match?.[2]
  return digit === undefined ? null : `DDR${digit}`
}

/** `16 GB (2x8)`, `2 x 8 GB`, `8GBx2`: modules, and what they are together. */
export function kitIn(plain: string): { readonly count: number; readonly total: number } | null {
  const times = /(\d)\s?(?:x|×|\*)\s?(\d{1,3})\s?(?:gb|go|g)?\b/.exec(plain)
  if (times && Number(times[2]) <= 128)
    return { count: Number(times[1]), total: Number(times[1]) * Number(times[2]) }
  const after = /(\d{1,3})\s?(?:gb|go|g)\s?(?:x|×|\*)\s?(\d)\b/.exec(plain)
  return after ? { count: Number(after[2]), total: Number(after[1]) * Number(after[2]) } : null
}

export function thick(plain: string): number | null {
  const said = /(\d(?:[.,]\d+)?)[\s-]*slots?/.exec(plain) ?? /^(\d(?:[.,]\d+)?)\s*$/.exec(plain)
  if (said) return Number(said[1]!.replace(',', '.'))
  const word = /\b(single|dual|double|triple)\b/.exec(plain)?.[1]
  return word === undefined ? null : { single: 1, dual: 2, double: 2, triple: 3 }[word]!
}

export function lanes(plain: string): number | null {
  const match = /\bx\s?(16|8|4|2|1)\b|\b(16|8|4|2|1)\s?(?:lanes|x\b)/.exec(plain)
  return match ? Number(match[1] ?? match[2]) : null
}

export function pcie(plain: string): number | null {
  const match = /\b(?:pci-?e|pcie|pci express|gen)\s?(?:gen)?\s?([1-6])(?:\.\d)?\b/.exec(plain)
  return match ? Number(match[1]) : null
}

/** The metals of the labels in other languages; a word such as `or` is one only behind `80 plus`. */
const metals: Readonly<Record<string, string>> = {
  guld: 'gold',
  oro: 'gold',
  or: 'gold',
  brons: 'bronze',
  bronce: 'bronze',
  argent: 'silver',
  plata: 'silver',
  platina: 'platinum',
  platine: 'platinum',
  platino: 'platinum',
  titane: 'titanium',
  titanio: 'titanium',
}

export function efficiencyIn(plain: string): string | null {
  const label = /\b(bronze|silver|gold|platinum|titanium|white|silber|platin|titan)\b/.exec(plain)?.[1]
  if (label) return answerOf('efficiency', label)
  const elsewhere = /80\s?(?:\+|plus)\s*(\p{L}+)/u.exec(plain)?.[1]
  const metal = elsewhere === undefined ? undefined : metals[elsewhere]
  if (metal) return answerOf('efficiency', metal)
  return /80\s?(\+|plus)/.test(plain) ? 'white' : null
}

export function modularIn(plain: string, key = ''): boolean | null {
  if (/\b(non|not)[- ]?modular|\bfixed\b|fest verbaut/.test(plain)) return false
  if (/\b(semi|fully|full|teil|voll)[- ]?modul|modul(ar|aire)/.test(plain)) return true
  if (!/modul/.test(key)) return null
  if (noWords.test(plain)) return false
  return /\b(yes|full|semi|fully|ja|oui)\b/.test(plain) ? true : null
}

export function radiator(plain: string): number | null {
  const sizes = [...plain.matchAll(/\b(120|140|240|280|360|420)(?=\b|mm)/g)].map((match) => Number(match[1]))
  return sizes.length === 0 ? null : Math.max(...sizes)
}

export function driveInterface(plain: string): string | null {
  if (/nvme|pci-?e|pci express/.test(plain)) return 'nvme'
  return /\bsata\b|serial ata/.test(plain) ? 'sata' : null
}

export function driveKind(plain: string): string | null {
  if (/\bssd\b|solid[- ]state|nvme|m\.2/.test(plain)) return 'ssd'
  return /\bhdd\b|hard ?(disk|drive)|\d{4}\s?rpm|festplatte|disque dur|harddisk/.test(plain) ? 'hdd' : null
}

/** Shape of a drive, by its inches or its card; null where it is not said. */
export function driveShape(plain: string): string | null {
  if (/\bm\.?2\b|\b22(?:30|42|60|80|110)\b/.test(plain)) return 'M.2'
  const inches = /\b([23])[.,]5\s?-?(?:"|''|″|inch|in\b|zoll|pouces|tum|pulgadas|$)/.exec(plain)?.[1]
  return inches === undefined ? null : `${inches}.5`
}

export function m2Length(plain: string): number | null {
  const match = /\b22(30|42|60|80|110)\b/.exec(plain)
  const mm = match ? Number(match[1]) : null
  return mm !== null && m2Lengths.some((each) => each === mm) ? mm : null
}

/** Facts that a name or title may carry, whatever stands around them. */

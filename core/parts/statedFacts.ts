import { factKinds } from './facts'
import type { PartFacts } from './part'
import { answerOf, hasVocabulary } from './vocabularies'

/** Facts as they were understood, and those that were not. */
export interface StatedFacts {
  readonly facts: PartFacts
  /** Keys that are no fact, or whose value cannot be read. */
  readonly strange: readonly string[]
}

/**
 * Facts in any usual spelling (`mATX`, `24-pin`, `ddr4`, `"65 W"`, `yes`) as Tarvin keeps them. What cannot be read is
 * not known, and named; never a default.
 *
 * @example readFacts({ formFactor: 'mATX', limitW: '65 W' }) // { facts: { formFactor: 'micro-ATX', limitW: 65 } }
 */
export function readFacts(stated: Readonly<Record<string, unknown>>): StatedFacts {
  const facts: Record<string, unknown> = {}
  const strange: string[] = []
  for (const [key, value] of Object.entries(stated)) {
    if (value === null || value === undefined || value === '') continue
    const read = Object.hasOwn(factKinds, key) ? readFact(key as keyof PartFacts, value) : null
    if (read === null) strange.push(key)
    else facts[key] = read
  }
  return { facts, strange }
}

function readFact(key: keyof PartFacts, value: unknown): unknown {
  const { kind, choices } = factKinds[key]
  if (kind === 'number' || kind === 'whole') return readNumber(key, value)
  if (kind === 'yes-no') return readYesNo(value)
  if (kind === 'texts') return readTexts(key, value)
  if (typeof value !== 'string' || value.length > 120) return null
  const spelling = value.trim()
  if (hasVocabulary(key)) return answerOf(key, spelling) ?? (choices ? null : spelling)
  if (choices) return choices.find((choice) => choice.toLowerCase() === spelling.toLowerCase()) ?? null
  return spelling
}

function readNumber(key: string, value: unknown): number | null {
  if (typeof value === 'number') return Number.isFinite(value) && value >= 0 ? value : null
  if (typeof value !== 'string') return null
  const match = /^\D{0,3}(\d+(?:[.,]\d+)?)\s*(tb|gb|cm|in|")?/i.exec(value.trim())
  if (!match) return null
  const number = Number(match[1]!.replace(',', '.'))
  const unit = match[2]?.toLowerCase()
  if (unit === 'tb') return number * 1000
  if (unit === 'cm') return number * 10
  if ((unit === 'in' || unit === '"') && key.endsWith('Mm')) return Math.round(number * 254) / 10
  return number
}

function readYesNo(value: unknown): boolean | null {
  if (typeof value === 'boolean') return value
  if (typeof value !== 'string') return null
  const plain = value.trim().toLowerCase()
  if (['yes', 'true', 'y', 'ja', 'oui', 'si'].includes(plain)) return true
  return ['no', 'false', 'n', 'nein', 'non', 'nej', 'none'].includes(plain) ? false : null
}

function readTexts(key: keyof PartFacts, value: unknown): string[] | null {
  const list = Array.isArray(value) ? value : typeof value === 'string' ? value.split(/[,;/]/) : null
  if (!list || list.some((each) => typeof each !== 'string')) return null
  const known = key === 'boardSizes' ? 'formFactor' : key === 'supplyShapes' ? 'supplyShape' : key
  return (list as string[])
    .map((each) => each.trim())
    .filter((each) => each !== '')
    .map((each) => (hasVocabulary(known) ? (answerOf(known, each) ?? each) : each))
}

import type { Part } from '../parts/part'
import { priceQueryDefaults, type PriceQuery, type VariantFacts } from './priceQuery'
import { normaliseTitle } from './title/normaliseTitle'

/** The part of a price query that belongs to a part. */
export type PartQuery = Omit<PriceQuery, 'asOf' | 'currency' | 'seed'>

const capacityToken = /^\d+(\.\d+)?(gb|tb)$|^\d+x\d+(gb)?$|^ddr\d$/
/** Words in a model's name that sellers leave out. */
const optionalWords = new Set(['kit', 'nvme', 'sata', 'ssd', 'hdd', 'desktop', 'tower', 'gold', 'bronze'])

/**
 * A price query that starts from a part's own specification: the words of its model name, its variant facts, and its
 * sister models (same role, a name that goes on where this one ends) as names that a title must not mean.
 *
 * @param library all parts, among which the sisters are looked for
 */
export function queryForPart(part: Part, library: readonly Part[]): PartQuery {
  const own = nameWords(part)
  const must = own.length > 0 ? own : normaliseTitle(part.make)
  const { capacityGb, vramGb, kitCount, memoryGeneration, module } = part.facts
  const size = part.role === 'graphics' ? vramGb : part.role === 'memory' || part.role === 'storage' ? capacityGb : undefined
  const siblings = siblingNames(part, must, library)
  const variant: VariantFacts = {
    ...(size === undefined ? {} : { capacityGb: size }),
    ...(part.role === 'memory' && kitCount !== undefined ? { kitCount } : {}),
    ...(part.role === 'memory' && memoryGeneration !== undefined ? { memoryGeneration } : {}),
    ...(part.role === 'memory' && module !== undefined ? { module } : {}),
    ...(siblings.length > 0 ? { siblings } : {}),
  }
  const { windowDays, halfLifeDays, conditions, manners, catchShare } = priceQueryDefaults
  return { must, mustNot: [], variant, conditions, manners, windowDays, halfLifeDays, catchShare }
}

function nameWords(part: Part): string[] {
  const make = new Set(normaliseTitle(part.make))
  const words = normaliseTitle(part.name).filter((token) => !capacityToken.test(token) && !optionalWords.has(token))
  const withoutMake = words.filter((token) => !make.has(token))
  return withoutMake.length > 0 ? withoutMake : words
}

function siblingNames(part: Part, must: readonly string[], library: readonly Part[]): string[] {
  const names = new Set<string>()
  for (const other of library) {
    if (other.id === part.id || other.role !== part.role) continue
    const words = nameWords(other)
    const goesOn = words.length > must.length && must.every((word, index) => words[index] === word)
    // the model number with its suffix is what a title says; the line's name is often left out
    if (goesOn) names.add(words.slice(Math.max(0, must.length - 1)).join(' '))
  }
  return [...names].sort()
}

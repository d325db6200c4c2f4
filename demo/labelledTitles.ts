import { catalogue, type CataloguePart } from './catalogue'
import { chance as makeChance } from './random'
import { title, type Dirt } from './titles'

/** A title with what it truly offers, for measuring the sieve. */
export interface LabelledTitle {
  readonly title: string
  /** The part it was written about. */
  readonly partId: string
  readonly dirt: Dirt
}

const shares: readonly (readonly [Dirt, number])[] = [
  ['clean', 55],
  ['lot', 12],
  ['broken', 11],
  ['accessory', 6],
  ['pair', 5],
  ['wrong-size', 7],
  ['laptop', 4],
]

/** Whether a kind of dirt can be told of a part from its title alone. */
function canBe(part: CataloguePart, dirt: Dirt): boolean {
  if (part.role === 'donor' || part.role === 'extra') return dirt === 'clean'
  if (dirt === 'laptop') return part.role === 'memory' && part.facts.module === 'desktop'
  if (dirt === 'accessory') return part.role === 'graphics' || part.role === 'cpu'
  if (dirt === 'wrong-size')
    return part.role === 'memory' || part.role === 'storage' || part.role === 'graphics'
  return true
}

/** Dirty titles over the whole catalogue, more of what sells more, each with the truth. */
export function labelledTitles(seed: number, count: number): LabelledTitle[] {
  const chance = makeChance(seed)
  const weights = catalogue.filter((part) => part.sales > 0).map((part) => [part, part.sales] as const)
  return Array.from({ length: count }, () => {
    const part = chance.weighted(weights)
    const drawn = chance.weighted(shares)
    const dirt = canBe(part, drawn) ? drawn : 'clean'
    return { title: title(part, dirt, chance), partId: part.id, dirt }
  })
}

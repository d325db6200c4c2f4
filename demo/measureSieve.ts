import { queryForPart } from '../core/reading/titles/queryForPart'
import { Sieve } from '../core/reading/titles/sieve'
import { catalogue, cataloguePart } from './catalogue'
import { demoToday } from './trade'
import type { LabelledTitle } from './labelledTitles'

/** How well the sieve parts labelled titles by their words alone: counts, and what it got wrong. */
export interface SieveMeasure {
  readonly wanted: number
  readonly wantedKept: number
  readonly unwanted: number
  readonly unwantedDropped: number
  readonly mistakes: readonly string[]
}

/**
 * Each title meets the query of its own part and of every sister in the same role. Wanted: clean titles under their
 * own part. Unwanted: dirty ones under their own part, and any title a sister lets through; only what a careful
 * person could tell counts, so a title with another size is a fair title of the sister that has this size.
 */
export function measureSieve(titles: readonly LabelledTitle[]): SieveMeasure {
  const sieves = new Map(
    catalogue.map((part) => [
      part.id,
      new Sieve({ ...queryForPart(part, catalogue), asOf: demoToday, currency: 'CAD' }),
    ]),
  )
  const counts = { wanted: 0, wantedKept: 0, unwanted: 0, unwantedDropped: 0 }
  const mistakes: string[] = []
  for (const { title, partId, dirt } of titles) {
    const { role } = cataloguePart(partId)
    for (const part of catalogue.filter((each) => each.role === role)) {
      const verdict = sieves.get(part.id)!.judge({
        id: title,
        source: 'held back',
        title,
        price: 1,
        shipping: 0,
        currency: 'CAD',
        soldOn: demoToday,
        manner: 'fixed',
        condition: 'used',
      })
      const isOwn = part.id === partId
      if (isOwn && dirt === 'clean') {
        counts.wanted += 1
        if (verdict === null) counts.wantedKept += 1
        else mistakes.push(`dropped from ${part.name}: ${title} (${verdict.reason}, ${verdict.detail})`)
      } else if (isOwn || (verdict === null && dirt !== 'wrong-size' && dirt !== 'laptop')) {
        counts.unwanted += 1
        if (verdict !== null) counts.unwantedDropped += 1
        else mistakes.push(`kept for ${part.name}: ${title} (${isOwn ? dirt : `is ${partId}`})`)
      }
    }
  }
  return { ...counts, mistakes }
}

/** Seed of the file held back: no word of the sieve was chosen by looking at its titles. */
export const heldBackSeed = 77_004_113

import { readOffer } from '../core/reading/listings/readOffer'
import { TitleReader } from '../core/reading/titles/partsInTitle'
import { queryForPart } from '../core/reading/titles/queryForPart'
import { catalogue } from './catalogue'
import type { LabelledListing } from './listingTexts'
import { demoToday } from './trade'

export interface ListingMeasure {
  readonly listings: number
  readonly abstained: number
  readonly answered: number
  /** Singles with the right part; lots called a lot with no wrong part among the contents. */
  readonly right: number
  readonly contents: number
  readonly contentsFound: number
  readonly priceRight: number
  readonly conditionRight: number
  readonly shippingRight: number
  readonly mistakes: readonly string[]
}

/** How well the plain text of listings is read, against the truth they were written with. */
export function measureListings(listings: readonly LabelledListing[]): ListingMeasure {
  const reader = new TitleReader(
    new Map(catalogue.map((part) => [part.id, queryForPart(part, catalogue)])),
    demoToday,
  )
  const counts = {
    listings: listings.length,
    abstained: 0,
    answered: 0,
    right: 0,
    contents: 0,
    contentsFound: 0,
    priceRight: 0,
    conditionRight: 0,
    shippingRight: 0,
  }
  const mistakes: string[] = []
  for (const truth of listings) {
    const read = readOffer(truth.text, { today: demoToday, currency: 'CAD', library: catalogue, reader })
    const ids = read.things.flatMap(({ partId }) => partId ?? [])
    const check = (name: 'price' | 'condition' | 'shipping', said: unknown, meant: unknown) => {
      if (said === meant) counts[`${name}Right`] += 1
      else mistakes.push(`${name} ${String(said)} for ${String(meant)}: ${JSON.stringify(truth.text)}`)
    }
    const figure = (amount: string | null) => (amount === null ? null : Number(amount))
    check('price', figure(read.price), truth.price)
    // where the words say nothing the lead counts as used
    check('condition', read.condition ?? 'used', truth.condition)
    check('shipping', figure(read.shipping), truth.shipping)
    const isLot = truth.partIds.length > 1
    if (isLot) {
      counts.contents += truth.partIds.length
      counts.contentsFound += truth.partIds.filter((id) => ids.includes(id)).length
      for (const id of truth.partIds)
        if (!ids.includes(id)) mistakes.push(`not found ${id}: ${JSON.stringify(truth.text)}`)
    }
    if (ids.length === 0) {
      counts.abstained += 1
      mistakes.push(`abstained: ${JSON.stringify(truth.text)}`)
      continue
    }
    counts.answered += 1
    const isRight = isLot
      ? ids.length > 1 && ids.every((id) => truth.partIds.includes(id))
      : ids.length === 1 && ids[0] === truth.partIds[0]
    if (isRight) counts.right += 1
    else mistakes.push(`read ${ids.join()} for ${truth.partIds.join()}: ${JSON.stringify(truth.text)}`)
  }
  return { ...counts, mistakes }
}

/** Seed of the listings held back. */
export const heldBackListingsSeed = 51_300_077

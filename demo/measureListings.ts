import { readListing } from '../core/reading/listings/readListing'
import { TitleReader } from '../core/reading/titles/partsInTitle'
import { queryForPart } from '../core/reading/titles/queryForPart'
import { catalogue, cataloguePart } from './catalogue'
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
    const read = readListing(truth.text, reader, (partId) => cataloguePart(partId).role === 'extra')
    const ids = read.parts.map((part) => part.value)
    if (Number(read.price?.value) === truth.price) counts.priceRight += 1
    else mistakes.push(`price ${read.price?.value} for ${truth.price}: ${JSON.stringify(truth.text)}`)
    if (read.condition.value === truth.condition) counts.conditionRight += 1
    else
      mistakes.push(`condition ${read.condition.value} for ${truth.condition}: ${JSON.stringify(truth.text)}`)
    if ((read.shipping === null ? null : Number(read.shipping.value)) === truth.shipping)
      counts.shippingRight += 1
    else
      mistakes.push(`shipping ${read.shipping?.value} for ${truth.shipping}: ${JSON.stringify(truth.text)}`)
    const isLot = truth.partIds.length > 1
    if (isLot) {
      counts.contents += truth.partIds.length
      counts.contentsFound += truth.partIds.filter((id) => ids.includes(id)).length
      for (const id of truth.partIds)
        if (!ids.includes(id)) mistakes.push(`not found ${id}: ${JSON.stringify(truth.text)}`)
    }
    if (read.kind === 'unclear' || read.kind === 'unknown') {
      counts.abstained += 1
      mistakes.push(`abstained: ${JSON.stringify(truth.text)}`)
      continue
    }
    counts.answered += 1
    const isRight = isLot
      ? read.kind === 'lot' && ids.every((id) => truth.partIds.includes(id))
      : read.kind === 'single' && ids[0] === truth.partIds[0]
    if (isRight) counts.right += 1
    else
      mistakes.push(
        `read ${read.kind} ${ids.join()} for ${truth.partIds.join()}: ${JSON.stringify(truth.text)}`,
      )
  }
  return { ...counts, mistakes }
}

/** Seed of the listings held back. */
export const heldBackListingsSeed = 51_300_077

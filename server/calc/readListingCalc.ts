import type { InferType } from 'yup'
import type { Part } from '#core/parts/part'
import { readFacts } from '#core/parts/statedFacts'
import { readOffer } from '#core/reading/listings/readOffer'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { queryForPart } from '#core/reading/titles/queryForPart'
import type { readListingRequest } from '#shared/calc/schemas'

/** `POST /api/calc/read-listing`: what a listing says, against a library that is sent with it. */
export function calcReadListing({ text, today, currency, library }: InferType<typeof readListingRequest>) {
  const parts = library.map((part): Part => ({ ...part, facts: readFacts(part.facts).facts }))
  // a part without a name is in no title
  const named = parts.filter(({ name }) => name.trim() !== '')
  const reader = new TitleReader(new Map(named.map((part) => [part.id, queryForPart(part, parts)])), today)
  return readOffer(text, { today, currency, library: parts, reader })
}

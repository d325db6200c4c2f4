import { readListingRequest } from '#shared/calc/schemas'
import { calcReadListing } from '#server/calc/readListingCalc'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'

export default jsonRoute(async (event) => calcReadListing(await bodyOf(event, readListingRequest)))

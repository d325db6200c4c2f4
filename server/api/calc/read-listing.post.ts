import { calcReadListing } from '#server/calc/readListingCalc'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/calc/read-listing', ({ body }) => calcReadListing(body))

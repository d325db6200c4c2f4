import { setOfferDeleted } from '#server/places/leads/haggle'
import { defineRemoval } from '#server/http/defineCall'

export default defineRemoval('/api/leads/offers', setOfferDeleted)

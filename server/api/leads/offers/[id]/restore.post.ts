import { setOfferDeleted } from '#server/places/leads/haggle'
import { definePutBack } from '#server/http/defineCall'

export default definePutBack('/api/leads/offers', setOfferDeleted)

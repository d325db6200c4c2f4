import { setLookoutDeleted } from '#server/places/prices/lookouts'
import { defineRemoval } from '#server/http/defineCall'

export default defineRemoval('/api/prices/lookouts', setLookoutDeleted)

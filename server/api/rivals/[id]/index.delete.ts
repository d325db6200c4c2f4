import { setRivalDeleted } from '#server/places/rivals/rivals'
import { defineRemoval } from '#server/http/defineCall'

export default defineRemoval('/api/rivals', setRivalDeleted)

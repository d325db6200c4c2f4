import { setReadDeleted } from '#server/places/prices/notes'
import { defineRemoval } from '#server/http/defineCall'

export default defineRemoval('/api/prices/reads', setReadDeleted)

import { setOpinionDeleted } from '#server/places/prices/notes'
import { defineRemoval } from '#server/http/defineCall'

export default defineRemoval('/api/prices/opinions', setOpinionDeleted)

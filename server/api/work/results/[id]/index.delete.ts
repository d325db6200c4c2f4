import { setWorkResultDeleted } from '#server/places/work/work'
import { defineRemoval } from '#server/http/defineCall'

export default defineRemoval('/api/work/results', setWorkResultDeleted)

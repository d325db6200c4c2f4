import { setBuildDeleted } from '#server/places/builds/builds'
import { defineRemoval } from '#server/http/defineCall'

export default defineRemoval('/api/builds', setBuildDeleted)

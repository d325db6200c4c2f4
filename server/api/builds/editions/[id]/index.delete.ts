import { setEditionDeleted } from '#server/places/builds/editions'
import { defineRemoval } from '#server/http/defineCall'

export default defineRemoval('/api/builds/editions', setEditionDeleted)

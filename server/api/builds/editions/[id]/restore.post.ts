import { setEditionDeleted } from '#server/places/builds/editions'
import { definePutBack } from '#server/http/defineCall'

export default definePutBack('/api/builds/editions', setEditionDeleted)

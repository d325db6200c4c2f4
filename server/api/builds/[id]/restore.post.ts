import { setBuildDeleted } from '#server/places/builds/builds'
import { definePutBack } from '#server/http/defineCall'

export default definePutBack('/api/builds', setBuildDeleted)

import { setLookoutDeleted } from '#server/places/prices/lookouts'
import { definePutBack } from '#server/http/defineCall'

export default definePutBack('/api/prices/lookouts', setLookoutDeleted)

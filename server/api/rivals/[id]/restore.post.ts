import { setRivalDeleted } from '#server/places/rivals/rivals'
import { definePutBack } from '#server/http/defineCall'

export default definePutBack('/api/rivals', setRivalDeleted)

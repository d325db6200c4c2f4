import { setWorkResultDeleted } from '#server/places/work/work'
import { definePutBack } from '#server/http/defineCall'

export default definePutBack('/api/work/results', setWorkResultDeleted)

import { setOpinionDeleted } from '#server/places/prices/notes'
import { definePutBack } from '#server/http/defineCall'

export default definePutBack('/api/prices/opinions', setOpinionDeleted)

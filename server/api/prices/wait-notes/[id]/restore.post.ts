import { setWaitNoteDeleted } from '#server/places/prices/notes'
import { definePutBack } from '#server/http/defineCall'

export default definePutBack('/api/prices/wait-notes', setWaitNoteDeleted)

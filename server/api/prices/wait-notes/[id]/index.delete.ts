import { setWaitNoteDeleted } from '#server/places/prices/notes'
import { defineRemoval } from '#server/http/defineCall'

export default defineRemoval('/api/prices/wait-notes', setWaitNoteDeleted)

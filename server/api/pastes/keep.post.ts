import { keepPaste } from '#server/places/pastes/keepPaste'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/pastes/keep', async ({ db, body, today }) => keepPaste(db, body, today))

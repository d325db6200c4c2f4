import { pasteSchema } from '#shared/pastes/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { keepPaste } from '#server/places/pastes/keepPaste'

const mostBytes = 16 * 1024 * 1024

export default writeRoute(
  async (event) => keepPaste(await useDatabase(), await bodyOf(event, pasteSchema, mostBytes), today()),
  mostBytes,
)

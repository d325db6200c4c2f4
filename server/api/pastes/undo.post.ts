import { pasteUndoSchema } from '#shared/pastes/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { undoPaste } from '#server/places/pastes/keepPaste'

export default writeRoute(async (event) => {
  const { paste } = await bodyOf(event, pasteUndoSchema)
  await undoPaste(await useDatabase(), paste)
  return { undone: paste }
})

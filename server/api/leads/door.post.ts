import { doorNoteSchema } from '#shared/leads/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { answerFromDoor } from '#server/places/leads/door'

export default writeRoute(async (event) =>
  answerFromDoor(await useDatabase(), (await bodyOf(event, doorNoteSchema)).text, today()),
)

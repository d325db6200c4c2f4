import { workTaskSchema } from '#shared/work/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { addTask } from '#server/places/work/work'

export default jsonRoute(async (event) => addTask(await useDatabase(), await bodyOf(event, workTaskSchema)))

import { workTaskSchema } from '#shared/entities'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { addTask } from '#server/places/work/work'

export default jsonRoute(async (event) => addTask(await useDatabase(), await bodyOf(event, workTaskSchema)))

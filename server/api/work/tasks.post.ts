import { workTaskSchema } from '#shared/work/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { addTask } from '#server/places/work/work'

export default writeRoute(async (event) => addTask(await useDatabase(), await bodyOf(event, workTaskSchema)))

import { workTaskSchema } from '#shared/schemas/entities'
import { useDatabase } from '~~/server/db/useDatabase'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { addTask } from '~~/server/services/work'

export default jsonRoute(async (event) => addTask(await useDatabase(), await bodyOf(event, workTaskSchema)))

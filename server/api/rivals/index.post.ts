import { rivalSchema } from '#shared/rivals/schemas'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { createRival } from '#server/places/rivals/rivals'

export default writeRoute(async (event) => createRival(await useDatabase(), await bodyOf(event, rivalSchema)))

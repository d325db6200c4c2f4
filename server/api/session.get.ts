import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { sessionView } from '#server/places/builds/readBuilds'

export default jsonRoute(async () => sessionView(await useDatabase(), today()))

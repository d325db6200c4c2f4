import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { buildStrips } from '#server/places/builds/readBuilds'

export default pageRoute(async () => buildStrips(await useDatabase(), today()))

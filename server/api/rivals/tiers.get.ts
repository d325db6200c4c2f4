import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { tiersView } from '#server/places/scales/readTiers'

export default pageRoute(async () => tiersView(await useDatabase(), today()))

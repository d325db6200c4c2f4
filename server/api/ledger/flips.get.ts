import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { flipsView } from '#server/places/ledger/readFlips'

export default pageRoute(async () => flipsView(await useDatabase(), today()))

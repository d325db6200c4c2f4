import { useDatabase } from '#server/db/useDatabase'
import { pageRoute } from '#server/http/pageRoute'
import { today } from '#server/http/today'
import { allDates } from '#server/places/ledger/calendar'

export default pageRoute(async () => allDates(await useDatabase(), today()))

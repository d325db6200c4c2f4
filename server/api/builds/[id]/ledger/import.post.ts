import { decodeText } from '#core/reading/tables/decodeText'
import { useDatabase } from '#server/db/useDatabase'
import { bodyBytes } from '#server/http/importing'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { importLedger } from '#server/places/ledger/importLedger'

export default jsonRoute(async (event) =>
  importLedger(
    await useDatabase(),
    getRouterParam(event, 'id')!,
    decodeText(await bodyBytes(event)).text,
    today(),
  ),
)

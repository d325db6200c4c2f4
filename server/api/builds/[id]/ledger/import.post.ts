import { fileBytes } from '#server/http/bodyBytes'
import { decodeText } from '#core/reading/tables/decodeText'
import { useDatabase } from '#server/db/useDatabase'
import { fileOf } from '#server/http/importing'
import { buildRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { importLedger } from '#server/places/ledger/importLedger'

export default buildRoute(
  async (event) =>
    importLedger(
      await useDatabase(),
      getRouterParam(event, 'id')!,
      decodeText(await fileOf(event)).text,
      today(),
    ),
  fileBytes,
)

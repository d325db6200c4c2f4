import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { ledgerCsv } from '#server/places/ledger/ledgerView'

export default jsonRoute(async (event) => {
  const csv = await ledgerCsv(await useDatabase(), getRouterParam(event, 'id')!, today())
  setHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setHeader(event, 'content-disposition', 'attachment; filename="ledger.csv"')
  return csv
})

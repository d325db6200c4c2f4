import { decodeText } from '#core/reading/tables/decodeText'
import { readSoldRecords } from '#core/files/import/soldRecordsFile'
import { useOpenDatabase } from '#server/db/useDatabase'
import { fileOf, importOptions, streamProgress } from '#server/http/importing'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { importSoldRecords } from '#server/places/prices/importRecords'

/**
 * The file's bytes as the body; `?options=` carries name, mapping and defaults as JSON. Answers a stream of JSON lines:
 * progress, then the report or the error. A client that goes away cancels the import, which then leaves nothing.
 */
export default jsonRoute(async (event) => {
  const database = await useOpenDatabase()
  const options = await importOptions(database.db, event)
  const { text } = decodeText(await fileOf(event))
  const defaults = { ...options.defaults, today: today() }
  if (options.preview) return readSoldRecords(text, defaults, options.columns, true)
  return streamProgress(event, (onProgress) =>
    importSoldRecords(
      database,
      { name: options.fileName, text, defaults, ...(options.columns ? { columns: options.columns } : {}) },
      onProgress,
    ),
  )
})

import { decodeText } from '#core/reading/tables/decodeText'
import { readSoldRecords } from '#core/files/import/soldRecordsFile'
import { useOpenDatabase } from '#server/db/useDatabase'
import { importOptions, streamProgress } from '#server/http/importing'
import { importSoldRecords } from '#server/places/prices/importRecords'
import { defineCall } from '#server/http/defineCall'

/**
 * The file's bytes as the body; `?options=` carries name, mapping and defaults as JSON. Answers a stream of JSON lines:
 * progress, then the report or the error. A client that goes away cancels the import, which then leaves nothing.
 */
export default defineCall('POST /api/prices/sold-records/import', async ({ file, query, today, event }) => {
  const database = await useOpenDatabase()
  const options = await importOptions(database.db, query.options)
  const { text } = decodeText(file)
  const defaults = { ...options.defaults, today }
  if (options.preview) return readSoldRecords(text, defaults, options.columns, true)
  return streamProgress(event, (onProgress) =>
    importSoldRecords(
      database,
      { name: options.fileName, text, defaults, ...(options.columns ? { columns: options.columns } : {}) },
      onProgress,
    ),
  )
})

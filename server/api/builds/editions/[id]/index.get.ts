import { editionCsv, editionHtml, editionJson, editionMarkdown } from '#core/files/editions/editionText'
import { adviceSheet } from '#core/files/advice/adviceSheet'
import { asFile } from '#server/http/asFile'
import { defineCall } from '#server/http/defineCall'
import { editionOf } from '#server/places/builds/editions'

const forms = {
  json: { type: 'application/json', text: editionJson },
  html: { type: 'text/html', text: editionHtml },
  md: { type: 'text/markdown', text: editionMarkdown },
  csv: { type: 'text/csv', text: editionCsv },
  txt: { type: 'text/plain', text: adviceSheet },
} as const

/** The edition as a file, for a reader; an adviser reads all of it, and fills in the sheet that `txt` is. */
export default defineCall('GET /api/builds/editions/:id', async ({ db, params: { id }, query, event }) => {
  const { as, for: reader } = query
  const { type, text } = forms[as]
  return asFile(
    event,
    text(await editionOf(db, id), reader),
    type,
    `${id}-${reader}.${as === 'json' ? 'edition.json' : as}`,
  )
})

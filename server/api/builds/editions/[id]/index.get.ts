import { CoreError } from '#core/errors/coreError'
import { editionCsv, editionHtml, editionJson, editionMarkdown } from '#core/files/editions/editionText'
import { adviceSheet } from '#core/files/advice/adviceSheet'
import { editionReaders, type EditionReader } from '#core/files/editions/readers'
import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { editionOf } from '#server/places/builds/editions'

const forms = {
  json: { type: 'application/json', text: editionJson },
  html: { type: 'text/html', text: editionHtml },
  md: { type: 'text/markdown', text: editionMarkdown },
  csv: { type: 'text/csv', text: editionCsv },
  txt: { type: 'text/plain', text: adviceSheet },
} as const

/** `?as=html|md|csv|json&for=buyer|repeater|adviser`: the edition as a file, for a reader; an adviser reads all of it.
 * `?as=txt` is the sheet that an adviser fills in and sends back. */
export default jsonRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  const query = getQuery(event)
  const [as, reader] = [String(query.as ?? 'json'), String(query.for ?? 'adviser')]
  const form = forms[as as keyof typeof forms]
  if (!form) throw new CoreError('bad-format', 'say ?as=html, ?as=md, ?as=csv, ?as=json or ?as=txt', 'as')
  if (!(editionReaders as readonly string[]).includes(reader))
    throw new CoreError('bad-reader', 'say ?for=buyer, ?for=repeater or ?for=adviser', 'for')
  const text = form.text(await editionOf(await useDatabase(), id), reader as EditionReader)
  setHeader(event, 'content-type', `${form.type}; charset=utf-8`)
  setHeader(
    event,
    'content-disposition',
    `attachment; filename="${id}-${reader}.${as === 'json' ? 'edition.json' : as}"`,
  )
  return text
})

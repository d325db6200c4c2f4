import { CoreError } from '#core/errors/coreError'
import { editionCsv, editionHtml, editionMarkdown } from '#core/files/editions/editionText'
import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { editionOf } from '#server/places/builds/editions'

const forms = {
  json: {
    type: 'application/json',
    text: (edition: Awaited<ReturnType<typeof editionOf>>) => JSON.stringify(edition, null, 2),
  },
  html: { type: 'text/html', text: editionHtml },
  md: { type: 'text/markdown', text: editionMarkdown },
  csv: { type: 'text/csv', text: editionCsv },
} as const

/** `?as=html|md|csv|json`: the edition as a file. */
export default jsonRoute(async (event) => {
  const id = getRouterParam(event, 'id')!
  const as = String(getQuery(event).as ?? 'json')
  const form = forms[as as keyof typeof forms]
  if (!form) throw new CoreError('bad-format', 'say ?as=html, ?as=md, ?as=csv or ?as=json', 'as')
  const text = form.text(await editionOf(await useDatabase(), id))
  setHeader(event, 'content-type', `${form.type}; charset=utf-8`)
  setHeader(
    event,
    'content-disposition',
    `attachment; filename="${id}.${as === 'json' ? 'edition.json' : as}"`,
  )
  return text
})

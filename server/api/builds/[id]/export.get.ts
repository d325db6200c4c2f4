import { CoreError } from '#core/errors/coreError'
import { useDatabase } from '#server/db/useDatabase'
import { jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { exportBuild } from '#server/places/builds/buildFile'
import { buildView } from '#server/places/builds/buildView'
import { buildMarkdown, linesCsv } from '#server/places/builds/shareBuild'

/** `?as=json|csv|md`: the build as a file. */
export default jsonRoute(async (event) => {
  const db = await useDatabase()
  const id = getRouterParam(event, 'id')!
  const { as } = getQuery(event)
  const send = (type: string, ending: string) => {
    setHeader(event, 'content-type', `${type}; charset=utf-8`)
    setHeader(event, 'content-disposition', `attachment; filename="${id}.${ending}"`)
  }
  if (as === 'json') {
    const file = await exportBuild(db, id)
    send('application/json', 'tarvin.json')
    return JSON.stringify(file, null, 2)
  }
  const view = await buildView(db, id, today())
  if (as === 'csv') {
    send('text/csv', 'csv')
    return linesCsv(view)
  }
  if (as === 'md') {
    send('text/markdown', 'md')
    return buildMarkdown(view)
  }
  throw new CoreError('bad-format', 'say ?as=json, ?as=csv or ?as=md', 'as')
})

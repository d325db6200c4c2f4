import { asFile } from '#server/http/asFile'
import { defineCall } from '#server/http/defineCall'
import { exportBuild } from '#server/places/builds/buildFile'
import { buildView } from '#server/places/builds/buildView'
import { buildMarkdown, linesCsv } from '#server/places/builds/shareBuild'

/** The build as a file. */
export default defineCall(
  'GET /api/builds/:id/export',
  async ({ db, params: { id }, query, today, event }) => {
    if (query.as === 'json')
      return asFile(
        event,
        JSON.stringify(await exportBuild(db, id), null, 2),
        'application/json',
        `${id}.tarvin.json`,
      )
    const view = await buildView(db, id, today)
    return query.as === 'csv'
      ? asFile(event, linesCsv(view), 'text/csv', `${id}.csv`)
      : asFile(event, buildMarkdown(view), 'text/markdown', `${id}.md`)
  },
)

import { object } from 'yup'
import { text } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { readRivalPage } from '#server/places/rivals/rivalPages'

const schema = object({ source: text().required('paste the source of the page').max(5_000_000) })

/** What the source of a page says of a machine; nothing is stored. */
export default jsonRoute(async (event) =>
  readRivalPage(await useDatabase(), (await bodyOf(event, schema, 6 * 1024 * 1024)).source, today()),
)

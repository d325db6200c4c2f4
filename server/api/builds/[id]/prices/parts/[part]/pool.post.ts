import { array, object } from 'yup'
import { trimmed } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { recordPool } from '#server/context/market'

const schema = object({ must: array().of(trimmed().required().max(60)).required().max(20) })

/** The records a changed query could count, for trying it out in the browser. */
export default jsonRoute(async (event) =>
  recordPool(await useDatabase(), getRouterParam(event, 'part')!, (await bodyOf(event, schema)).must),
)

import { lotRequest } from '#shared/calc/schemas'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { calcLot } from '#server/calc/lotCalc'

export default jsonRoute(async (event) => calcLot(await bodyOf(event, lotRequest)))

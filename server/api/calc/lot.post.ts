import { lotRequest } from '#shared/schemas/calc'
import { bodyOf, jsonRoute } from '~~/server/http/jsonRoute'
import { calcLot } from '~~/server/services/calc/lotCalc'

export default jsonRoute(async (event) => calcLot(await bodyOf(event, lotRequest)))

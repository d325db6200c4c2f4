import { checkFitRequest } from '#shared/calc/schemas'
import { calcCheckFit } from '#server/calc/checkFitCalc'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'

export default jsonRoute(async (event) => calcCheckFit(await bodyOf(event, checkFitRequest), today()))

import { accountRequest } from '#shared/calc/schemas'
import { bodyOf, jsonRoute } from '#server/http/jsonRoute'
import { calcAccount } from '#server/calc/accountCalc'

export default jsonRoute(async (event) => calcAccount(await bodyOf(event, accountRequest)))

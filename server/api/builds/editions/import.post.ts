import { object, mixed } from 'yup'
import { currencyCode, text } from '#shared/fields'
import { useDatabase } from '#server/db/useDatabase'
import { bodyOf, writeRoute } from '#server/http/jsonRoute'
import { today } from '#server/http/today'
import { openEdition, readEditionFile } from '#server/places/builds/editions'

const schema = object({
  edition: mixed().required('no edition received'),
  currency: currencyCode().required('choose a currency'),
  region: text().max(80).default(''),
})

export default writeRoute(
  async (event) => {
    const { edition, ...where } = await bodyOf(event, schema)
    return openEdition(await useDatabase(), readEditionFile(edition), where, today())
  },
  16 * 1024 * 1024,
)

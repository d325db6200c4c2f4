import { readBackup } from '#server/db/backup'
import { fileOf } from '#server/http/importing'
import { jsonRoute } from '#server/http/jsonRoute'

/** What a backup holds; nothing is changed. */
export default jsonRoute(async (event) => (await readBackup(await fileOf(event))).preview)

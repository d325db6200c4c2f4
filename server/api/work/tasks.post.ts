import { addTask } from '#server/places/work/work'
import { defineCall } from '#server/http/defineCall'

export default defineCall('POST /api/work/tasks', async ({ db, body }) => addTask(db, body))

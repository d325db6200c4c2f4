import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import type { workResultSchema, workTaskSchema } from '#shared/work/schemas'
import type { Database } from '#server/db/client'
import { parts } from '#server/db/schema/parts'
import { workResults, workTasks } from '#server/db/schema/work'
import { NotFoundError } from '#server/errors/notFoundError'
import { newId } from '#server/db/ids'

/** Work that is no game: what it is, and what machines took for it. */

export async function addTask(db: Database, task: InferType<typeof workTaskSchema>): Promise<{ id: string }> {
  const { rowsAffected } = await db.insert(workTasks).values(task).onConflictDoNothing()
  if (rowsAffected === 0) throw new CoreError('known', { id: task.id }, 'id')
  return { id: task.id }
}

export async function addWorkResult(
  db: Database,
  result: InferType<typeof workResultSchema>,
  today: string,
): Promise<{ id: string }> {
  if (result.ranOn > today) throw new CoreError('future-date', { day: result.ranOn }, 'ranOn')
  const [task] = await db.select({ id: workTasks.id }).from(workTasks).where(eq(workTasks.id, result.taskId))
  if (!task) throw new CoreError('unknown-task', { taskId: result.taskId }, 'taskId')
  const [cpu] = await db.select({ role: parts.role }).from(parts).where(eq(parts.id, result.cpuId))
  if (cpu?.role !== 'cpu') throw new CoreError('unknown-cpu', { id: result.cpuId }, 'cpuId')
  const id = newId(result.taskId)
  await db.insert(workResults).values({ ...result, id })
  return { id }
}

export async function setWorkResultDeleted(
  db: Database,
  id: string,
  deletedAt: string | null,
): Promise<void> {
  const { rowsAffected } = await db.update(workResults).set({ deletedAt }).where(eq(workResults.id, id))
  if (rowsAffected === 0) throw new NotFoundError('result', id)
}

import type { Workload } from '#core/performance/model/workload'
import type { Database } from '../db/client'
import { workloads } from '../db/schema/work'

/** All workloads, in the shape core wants. */
export async function loadWorkloads(db: Pick<Database, 'select'>): Promise<Workload[]> {
  const rows = await db.select().from(workloads).orderBy(workloads.name)
  return rows.map(({ lowShareGraphics, lowShareCpu, ...row }) => ({
    ...row,
    lowShare: { graphics: lowShareGraphics, cpu: lowShareCpu },
  }))
}

import { assumptionsWith } from '#core/assumptions/assumptions'
import type { Workload } from '#core/performance/model/workload'
import type { Database } from '../db/client'
import { workloads } from '../db/schema/work'
import { readSetting } from './settings'

/** All workloads, in the shape core wants. */
export async function loadWorkloads(db: Pick<Database, 'select'>): Promise<Workload[]> {
  const [rows, own] = await Promise.all([
    db.select().from(workloads).orderBy(workloads.name),
    readSetting(db, 'assumptions'),
  ])
  const model = assumptionsWith(own).performance
  return rows.map(({ lowShareGraphics, lowShareCpu, frameCap, systemMemoryGb, ...row }) => ({
    ...row,
    ...(frameCap === null ? {} : { frameCap }),
    ...(systemMemoryGb === null ? {} : { systemMemoryGb }),
    model,
    lowShare: { graphics: lowShareGraphics, cpu: lowShareCpu },
  }))
}

import type { Workload } from '#core/performance/model/workload'
import type { Queryable } from '../db/client'
import { useWorld } from '../readings/useWorld'
import type { World } from '../readings/world'
import { houseInForce } from './marketReadings'

/** All workloads, in the shape core wants. */
export async function loadWorkloads(db: Pick<Queryable, 'select'>): Promise<Workload[]> {
  return workloadsOf(await useWorld(db))
}

/** The same of a world. */
export function workloadsOf(world: World): Workload[] {
  const model = houseInForce(world).assumptions.performance
  return world.rows.workloads
    .all()
    .toSorted((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0))
    .map(({ lowShareGraphics, lowShareCpu, frameCap, systemMemoryGb, ...row }) => ({
      ...row,
      ...(frameCap === null ? {} : { frameCap }),
      ...(systemMemoryGb === null ? {} : { systemMemoryGb }),
      model,
      lowShare: { graphics: lowShareGraphics, cpu: lowShareCpu },
    }))
}

import { eq } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import type { Queryable } from '#server/db/client'
import { newId } from '#server/db/ids'
import { targets } from '#server/db/schema/brief'
import { workloads } from '#server/db/schema/work'
import type { BriefInput } from '#shared/brief/schemas'

export async function replaceTargets(tx: Queryable, buildId: string, brief: BriefInput): Promise<void> {
  for (const [position, target] of brief.targets.entries()) {
    const [workload] = await tx.select().from(workloads).where(eq(workloads.id, target.workloadId))
    if (!workload)
      throw new CoreError(
        'unknown-workload',
        { workloadId: target.workloadId },
        `targets[${position}].workloadId`,
      )
    if (!workload.presets[target.preset])
      throw new CoreError(
        'unknown-preset',
        { name: workload.name, preset: target.preset },
        `targets[${position}].preset`,
      )
    if (target.upscaling !== null && workload.upscaling[target.upscaling] === undefined)
      throw new CoreError(
        'unknown-upscaling',
        { name: workload.name, upscaling: target.upscaling },
        `targets[${position}].upscaling`,
      )
    await tx.insert(targets).values({ ...target, id: newId('target'), buildId, position })
  }
}

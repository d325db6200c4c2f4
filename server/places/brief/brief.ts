import { findBuild } from '#server/context/findBuild'
import { eq } from 'drizzle-orm'
import { toDecimal } from '#core/money/decimal'
import { assertCalculable } from '#server/context/assertCalculable'
import type { Database } from '#server/db/client'
import { targets } from '#server/db/schema/brief'
import { builds } from '#server/db/schema/builds'
import type { BriefInput } from '#shared/brief/schemas'
import { briefRow, houseRulesInput } from './briefRow'
import { moveCurrency } from './moveCurrency'
import { replaceTargets } from './targets'

export async function saveBrief(
  db: Database,
  buildId: string,
  brief: BriefInput,
  today: string,
): Promise<void> {
  await db.transaction(async (tx) => {
    await moveCurrency(tx, await findBuild(tx, buildId), brief.currency, today)
    await tx.update(builds).set(briefRow(brief)).where(eq(builds.id, buildId))
    await tx.delete(targets).where(eq(targets.buildId, buildId))
    await replaceTargets(tx, buildId, brief)
    await assertCalculable(tx, buildId, today, 'currency')
  })
}

/** A brief as its form and its files state it. */
export async function briefOf(db: Database, buildId: string): Promise<BriefInput> {
  const build = await findBuild(db, buildId)
  const rows = await db.select().from(targets).where(eq(targets.buildId, buildId)).orderBy(targets.position)
  const decimal = (amount: number) => toDecimal(amount, build.currency)
  return {
    name: build.name,
    purpose: build.purpose,
    currency: build.currency,
    region: build.region,
    budget: decimal(build.budget),
    stretch: decimal(build.stretch),
    budgetScope: build.budgetScope,
    wantedBy: build.wantedBy,
    houseRules: houseRulesInput(build.houseRules, build.currency),
    privateNote: build.privateNote,
    saleText: build.saleText,
    needs: build.needs.map(({ need, price }) => ({ need, price: decimal(price) })),
    targets: rows.map(
      ({ workloadId, width, height, preset, upscaling, frameGeneration, averageFps, lowFps }) => ({
        workloadId,
        width,
        height,
        preset,
        upscaling,
        frameGeneration,
        averageFps,
        lowFps,
      }),
    ),
  }
}

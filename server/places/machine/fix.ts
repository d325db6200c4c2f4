import { eq } from 'drizzle-orm'
import type { InferType } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { checkFit } from '#core/machine/fit/checkFit'
import type { Finding } from '#core/machine/fit/finding'
import { waysToMend, type FixRow } from '#core/machine/fit/fixes'
import { partLabel } from '#core/parts/part'
import type { Change } from '#core/whatif/change'
import { taken, takenOut } from '#core/whatif/proposed'
import { buildRow, findBuild } from '#server/context/findBuild'
import { fitBriefOf } from '#server/context/fitBrief'
import { marketOf } from '#server/context/marketReadings'
import { partsAtTheirWays, suggested, type PartAtItsWay } from '#server/context/waysToGet'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { useWorld } from '#server/readings/useWorld'
import { carryOut } from '#server/whatif/carryOut'
import type { BuildView } from '#shared/builds/views'
import type { fixSchema, swapSchema } from '#shared/machine/schemas'
import { buildPage } from '../builds/buildView'

/** What a way to fix a finding is made of: what it replaces leaves, what it buys comes in, handiwork is noted. */
export function changesOfFix(
  { choices }: Pick<BuildView, 'choices'>,
  row: Pick<FixRow, 'byHand' | 'replaces' | 'parts'>,
  priced: readonly PartAtItsWay[],
  reason: string,
): Change[] {
  return [
    ...row.byHand.map((finding): Change => ({ kind: 'settle', finding })),
    ...row.replaces.flatMap(({ id }) => takenOut(choices, id)),
    ...row.parts.map(({ id }) => taken(priced.find(({ part }) => part.id === id)!.way, reason)),
  ]
}

/** What stands beside what was bought to fix a finding. */
export const reasonOf = ({ what }: Pick<Finding, 'what'>) => `fixes: ${what}`.slice(0, 300)

/** Takes a way to fix a finding. */
export async function takeWay(
  db: Database,
  buildId: string,
  { key, way }: InferType<typeof fixSchema>,
  today: string,
): Promise<void> {
  const world = await useWorld(db)
  const build = buildRow(world, buildId)
  const view = buildPage(world, buildId, today)
  const market = marketOf(world)
  const machine = {
    parts: view.parts,
    brief: fitBriefOf(market, build, today),
    settled: new Set(build.settled),
  }
  const finding = checkFit(machine).findings.find((each) => each.key === key)
  if (!finding) throw new CoreError('no-finding', {}, 'key')
  const priced = partsAtTheirWays(suggested(world, buildId, view))
  const row = waysToMend(finding, machine, priced, market.library).find((each) => each.way === way)
  if (!row) throw new CoreError('fix-gone', {}, 'way')
  const unpriced = row.parts.find(({ id }) => !priced.some(({ part }) => part.id === id))
  if (unpriced) throw new CoreError('no-price', { part: unpriced.name }, 'way')
  const reason = reasonOf(finding)
  await carryOut(db, buildId, changesOfFix(view, row, priced, reason), { today, text: reason, path: 'key' })
}

/** Takes back that a finding was fixed by hand. */
export async function unsettle(db: Database, buildId: string, key: string): Promise<void> {
  const build = await findBuild(db, buildId)
  await db
    .update(builds)
    .set({ settled: build.settled.filter((each) => each !== key) })
    .where(eq(builds.id, buildId))
}

/** Takes a way to get a part in the place of what fills a role. */
export async function swap(
  db: Database,
  buildId: string,
  { way: wayId, out }: InferType<typeof swapSchema>,
  today: string,
): Promise<void> {
  const world = await useWorld(db)
  const view = buildPage(world, buildId, today)
  const way = suggested(world, buildId, view).find(({ id }) => id === wayId)
  if (!way) throw new CoreError('way-gone', {}, 'way')
  const changes = [...(out ? takenOut(view.choices, out) : []), taken(way, '')]
  const text = `${partLabel(way.part)} chosen`
  await carryOut(db, buildId, changes, { today, text, path: 'way' })
}

import { and, asc, eq } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { lineName } from '#core/files/advice/adviceSheet'
import { readAdvice } from '#core/files/advice/readAdvice'
import { checkFit } from '#core/machine/fit/checkFit'
import { partLabel, type Part } from '#core/parts/part'
import { partNamed } from '#core/parts/partNamed'
import { geometricMean } from '#core/performance/runs/beforeAfter'
import { framesGained } from '#core/performance/model/meanFrames'
import { fitBriefOf } from '#server/context/fitBrief'
import type { FitMachine } from '#core/machine/fit/finding'
import { taken, takenOut } from '#core/whatif/proposed'
import { buildRow, findBuild } from '#server/context/findBuild'
import { marketOf } from '#server/context/marketReadings'
import { useWorld } from '#server/readings/useWorld'
import type { World } from '#server/readings/world'
import { whatIf } from '#server/whatif/whatIf'
import type { WhatIf } from '#shared/whatif/views'
import { useMarket } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import { partsAtTheirWays, suggested, type PartAtItsWay } from '#server/context/waysToGet'
import type { Database } from '#server/db/client'
import { newId } from '#server/db/ids'
import { advice } from '#server/db/schema/builds'
import { NotFoundError } from '#server/errors/notFoundError'
import type { BuildView } from '#shared/builds/views'
import type { AdviceView } from '#shared/machine/views'
import { buildPage } from '../builds/buildView'
import { swap } from './fix'
import { framesOf } from './readCarry'

type AdviceRow = typeof advice.$inferSelect

/** Opens a sheet that came back: a row for each remark, all in one go. */
export async function openAdvice(
  db: Database,
  buildId: string,
  text: string,
  today: string,
): Promise<AdviceView[]> {
  await findBuild(db, buildId)
  const { by, remarks } = readAdvice(text)
  const { library } = await useMarket(db)
  const createdAt = new Date().toISOString()
  await db.transaction(async (tx) => {
    for (const [position, { line, remark, instead }] of remarks.entries())
      await tx.insert(advice).values({
        id: newId('advice'),
        buildId,
        position,
        by,
        receivedOn: today,
        line,
        remark,
        instead,
        insteadPartId: instead === '' ? null : (partNamed(instead, library)?.id ?? null),
        createdAt,
      })
  })
  return adviceViews(db, buildId, today)
}

/** Every remark of a build, open ones first, each with what its swap would do today. */
export async function adviceViews(db: Database, buildId: string, today: string): Promise<AdviceView[]> {
  const rows = await db
    .select()
    .from(advice)
    .where(eq(advice.buildId, buildId))
    .orderBy(asc(advice.createdAt), asc(advice.position))
  if (rows.length === 0) return []
  const world = await useWorld(db)
  const build = buildRow(world, buildId)
  const market = marketOf(world)
  const view = buildPage(world, buildId, today)
  const ways = partsAtTheirWays(suggested(world, build.id, view))
  const machine = { brief: fitBriefOf(market, build, today), settled: new Set(build.settled) }
  return rows
    .map(({ id, by, receivedOn, line, remark, instead, state, insteadPartId }): AdviceView => ({
      id,
      by,
      receivedOn,
      line,
      remark,
      instead,
      state,
      swap: swapOf({ line, insteadPartId }, { world, view, market, ways, machine }),
    }))
    .sort((a, b) => Number(a.state !== 'open') - Number(b.state !== 'open'))
}

/** Takes a swap, declines a remark, or opens it again. What was taken stays in the machine when it is opened again. */
export async function settleAdvice(
  db: Database,
  buildId: string,
  adviceId: string,
  state: AdviceRow['state'],
  today: string,
): Promise<void> {
  const found = (await adviceViews(db, buildId, today)).find(({ id }) => id === adviceId)
  if (!found) throw new NotFoundError('remark', adviceId)
  if (state === 'taken' && found.swap && found.state !== 'taken') {
    const { way, out, name } = found.swap
    if (way === null) throw new CoreError('no-price-to-accept', { name }, 'state')
    await swap(db, buildId, { way, out }, today)
  }
  await db
    .update(advice)
    .set({ state })
    .where(and(eq(advice.id, adviceId), eq(advice.buildId, buildId)))
}

interface Standing {
  readonly world: World
  readonly view: BuildView
  readonly market: Market
  readonly ways: readonly PartAtItsWay[]
  readonly machine: Omit<FitMachine, 'parts'>
}

function swapOf(
  { line, insteadPartId }: Pick<AdviceRow, 'line' | 'insteadPartId'>,
  { world, view, market, ways, machine }: Standing,
): AdviceView['swap'] {
  const part = market.library.find(({ id }) => id === insteadPartId)
  if (!part) return null
  const choice = view.choices.find((each) => nameOf(each, market) === line || each.label === line)
  const out = outOf(part, choice?.parts.map(({ id }) => id) ?? [], view.parts)
  const found = ways.find((each) => each.part.id === part.id)
  const proposed = { partId: part.id, name: partLabel(part), out: out?.id ?? null }
  if (found) {
    const changes = [...(out ? takenOut(view.choices, out.id) : []), taken(found.way, '')]
    const { difference, comes, goes, frames } = whatIf(world, view.id, changes, view.today)
    return {
      ...proposed,
      way: difference === null ? null : found.way.id,
      changes,
      more: difference?.payNow ?? null,
      comes: comes.map(({ what }) => what),
      goes: goes.map(({ what }) => what),
      frames: framesGained(meanOf(frames, 'before'), meanOf(frames, 'after')),
    }
  }
  // a part that nobody sells cannot be taken; whether it would fit is said all the same
  const after = [...view.parts.filter(({ id }) => id !== out?.id), part]
  const findings = (parts: readonly Part[]) => checkFit({ ...machine, parts }).findings
  const [now, then] = [findings(view.parts), findings(after)]
  return {
    ...proposed,
    way: null,
    changes: [],
    more: null,
    comes: then.filter(({ key }) => !now.some((each) => each.key === key)).map(({ what }) => what),
    goes: now.filter(({ key }) => !then.some((each) => each.key === key)).map(({ what }) => what),
    frames: framesGained(framesOf(view, view.parts), framesOf(view, after)),
  }
}

/** Geometric mean of the frames that are known before and after; null where none are. */
function meanOf(frames: WhatIf['frames'], side: 'before' | 'after'): number | null {
  const known = frames.filter(({ before, after }) => before !== null && after !== null)
  return known.length === 0 ? null : geometricMean(known.map((each) => each[side]!))
}

/** What gives way: the part of that role in the line, else the one of that role in the machine. */
function outOf(part: Part, ofLine: readonly string[], machine: readonly Part[]): Part | undefined {
  const sameRole = machine.filter(({ role }) => role === part.role)
  return sameRole.find(({ id }) => ofLine.includes(id)) ?? (sameRole.length === 1 ? sameRole[0] : undefined)
}

/** A choice by the name its line had on the sheet. */
function nameOf({ label, parts }: BuildView['choices'][number], { library }: Market): string {
  return lineName({
    label,
    parts: parts.flatMap(({ id, role }) => {
      const part = library.find((each) => each.id === id)
      return part ? [{ id, role, make: part.make, name: part.name }] : []
    }),
  })
}

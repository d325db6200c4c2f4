import { and, asc, eq } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { lineName } from '#core/files/advice/adviceSheet'
import { readAdvice } from '#core/files/advice/readAdvice'
import { checkFit } from '#core/machine/fit/checkFit'
import { partLabel, type Part } from '#core/parts/part'
import { partNamed } from '#core/parts/partNamed'
import { framesGained } from '#core/performance/model/meanFrames'
import { fitBriefOf } from '#server/context/fitBrief'
import { findBuild } from '#server/context/findBuild'
import { useMarket } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import { partsAtTheirWays, suggestedWays, type PartAtItsWay } from '#server/context/waysToGet'
import type { Database } from '#server/db/client'
import { newId } from '#server/db/ids'
import { advice } from '#server/db/schema/builds'
import { NotFoundError } from '#server/errors/notFoundError'
import type { BuildView } from '#shared/builds/views'
import type { AdviceView } from '#shared/machine/views'
import { buildView } from '../builds/buildView'
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
  const build = await findBuild(db, buildId)
  const [view, market] = await Promise.all([buildView(db, buildId, today), useMarket(db)])
  const ways = partsAtTheirWays(await suggestedWays(db, build, view))
  const brief = fitBriefOf(market, build, today)
  return rows
    .map(({ id, by, receivedOn, line, remark, instead, state, insteadPartId }): AdviceView => ({
      id,
      by,
      receivedOn,
      line,
      remark,
      instead,
      state,
      swap: swapOf({ line, insteadPartId }, { view, market, ways, brief }),
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
  readonly view: BuildView
  readonly market: Market
  readonly ways: readonly PartAtItsWay[]
  readonly brief: ReturnType<typeof fitBriefOf>
}

function swapOf(
  { line, insteadPartId }: Pick<AdviceRow, 'line' | 'insteadPartId'>,
  { view, market, ways, brief }: Standing,
): AdviceView['swap'] {
  const part = market.library.find(({ id }) => id === insteadPartId)
  if (!part) return null
  const choice = view.choices.find((each) => nameOf(each, market) === line || each.label === line)
  const out = outOf(part, choice?.parts.map(({ id }) => id) ?? [], view.parts)
  const found = ways.find((each) => each.part.id === part.id)
  const after = [...view.parts.filter(({ id }) => id !== out?.id), part]
  const findings = (parts: readonly Part[]) => checkFit({ parts, brief }).findings
  const [now, then] = [findings(view.parts), findings(after)]
  const costs = choice && choice.parts.length === 1 ? choice.payNow : null
  return {
    partId: part.id,
    name: partLabel(part),
    way: found?.way.id ?? null,
    out: out?.id ?? null,
    more: found && costs !== null ? found.way.payNow - costs : null,
    comes: then.filter(({ key }) => !now.some((each) => each.key === key)).map(({ what }) => what),
    goes: now.filter(({ key }) => !then.some((each) => each.key === key)).map(({ what }) => what),
    frames: framesGained(framesOf(view, view.parts), framesOf(view, after)),
  }
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

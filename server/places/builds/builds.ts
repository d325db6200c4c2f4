import { and, eq, isNull, max } from 'drizzle-orm'
import { CoreError } from '#core/errors/coreError'
import { defaultAnswerDays } from '#core/supply/risk/silence'
import type { FaultOverrides } from '#core/supply/risk/faultRisk'
import { parseDecimal, toDecimal } from '#core/money/decimal'
import { machineRulesSchema, type BriefInput, type ChoiceInput } from '#shared/entities'
import type { HouseRules, MachineRules } from '#shared/types'
import type { SupplyRule } from '#core/machine/power/supplySize'
import type { Database, Queryable } from '#server/db/client'
import {
  buildRivals,
  builds,
  choices,
  leads,
  leadThings,
  parts,
  shelf,
  targets,
  workloads,
} from '#server/db/schema'
import { NotFoundError } from '#server/http/errors'
import { assertReckonable } from '#server/context/assertCalculable'
import { newId } from '#server/db/ids'

/** Builds, their briefs and their choices: writing them down. */

export async function createBuild(db: Database, brief: BriefInput, today: string): Promise<string> {
  return db.transaction((tx) => insertBuild(tx, brief, today))
}

export async function insertBuild(tx: Queryable, brief: BriefInput, today: string): Promise<string> {
  const id = newId(brief.name)
  await tx.insert(builds).values({ ...briefRow(brief), id, createdAt: today })
  await replaceTargets(tx, id, brief)
  return id
}

export async function saveBrief(
  db: Database,
  buildId: string,
  brief: BriefInput,
  today: string,
): Promise<void> {
  await db.transaction(async (tx) => {
    const { rowsAffected } = await tx
      .update(builds)
      .set(briefRow(brief))
      .where(and(eq(builds.id, buildId), isNull(builds.deletedAt)))
    if (rowsAffected === 0) throw new NotFoundError(`there is no build "${buildId}"`)
    await tx.delete(targets).where(eq(targets.buildId, buildId))
    await replaceTargets(tx, buildId, brief)
    await assertReckonable(tx, buildId, today, 'currency')
  })
}

function briefRow({ targets: _targets, budget, stretch, needs, houseRules, ...brief }: BriefInput) {
  const { currency } = brief
  return {
    ...brief,
    houseRules: houseRulesRow(houseRules, currency),
    budget: parseDecimal(budget, currency, 'budget'),
    stretch: parseDecimal(stretch, currency, 'stretch'),
    needs: needs.map(({ need, price }, index) => ({
      need,
      price: parseDecimal(price, currency, `needs[${index}].price`),
    })),
  }
}

function houseRulesRow(
  { perKm, perHour, faults, machine, ...rules }: BriefInput['houseRules'],
  currency: string,
): HouseRules {
  return {
    ...rules,
    machine: {
      ...machine,
      supplyRule: supplyRuleRow(machine.supplyRule),
      tariff: parseDecimal(machine.tariff, currency, 'houseRules.machine.tariff'),
    } as MachineRules,
    perKm: parseDecimal(perKm, currency, 'houseRules.perKm'),
    perHour: parseDecimal(perHour, currency, 'houseRules.perHour'),
    ...(faults && {
      faults: {
        ...faults,
        ...(faults.hassle === undefined
          ? { hassle: undefined }
          : { hassle: parseDecimal(faults.hassle, currency, 'houseRules.faults.hassle') }),
      } as FaultOverrides,
    }),
  }
}

function supplyRuleRow({
  kind,
  factor,
  watts,
}: BriefInput['houseRules']['machine']['supplyRule']): SupplyRule {
  return kind === 'factor'
    ? { kind, factor }
    : kind === 'minimum'
      ? { kind, watts }
      : { kind: kind ?? 'twice' }
}

function houseRulesInput(
  { perKm = 0, perHour = 0, faults, machine, ...rules }: HouseRules,
  currency: string,
): BriefInput['houseRules'] {
  return {
    neverUsed: [...rules.neverUsed],
    patience: rules.patience ?? 'typical',
    mostFault: rules.mostFault ?? null,
    answerDays: rules.answerDays ?? defaultAnswerDays,
    pickupKm: rules.pickupKm ?? null,
    lowMethod: rules.lowMethod ?? 'percentile',
    perKm: toDecimal(perKm, currency),
    perHour: toDecimal(perHour, currency),
    machine: machineRulesInput(machine, currency),
    ...(faults && {
      faults: {
        ...faults,
        ...(faults.hassle === undefined
          ? { hassle: undefined }
          : { hassle: toDecimal(faults.hassle, currency) }),
      } as BriefInput['houseRules']['faults'],
    }),
  } as BriefInput['houseRules']
}

function machineRulesInput(
  machine: MachineRules | undefined,
  currency: string,
): BriefInput['houseRules']['machine'] {
  if (!machine) return machineRulesSchema.getDefault() as BriefInput['houseRules']['machine']
  const { supplyRule, tariff, ...rest } = machine
  return {
    ...rest,
    supplyRule: { factor: 1.5, watts: 500, ...supplyRule },
    tariff: toDecimal(tariff, currency),
    avoidedMakes: [...rest.avoidedMakes],
    screenPlugs: [...rest.screenPlugs],
  }
}

async function replaceTargets(tx: Queryable, buildId: string, brief: BriefInput): Promise<void> {
  for (const [position, target] of brief.targets.entries()) {
    const [workload] = await tx.select().from(workloads).where(eq(workloads.id, target.workloadId))
    if (!workload)
      throw new CoreError(
        'unknown-workload',
        `there is no workload "${target.workloadId}"`,
        `targets[${position}].workloadId`,
      )
    if (!workload.presets[target.preset])
      throw new CoreError(
        'unknown-preset',
        `${workload.name} has no preset "${target.preset}"`,
        `targets[${position}].preset`,
      )
    await tx.insert(targets).values({ ...target, id: newId('target'), buildId, position })
  }
}

/** A brief as its form and its files state it. */
export async function briefOf(db: Database, buildId: string): Promise<BriefInput> {
  const [build] = await db
    .select()
    .from(builds)
    .where(and(eq(builds.id, buildId), isNull(builds.deletedAt)))
  if (!build) throw new NotFoundError(`there is no build "${buildId}"`)
  const rows = await db.select().from(targets).where(eq(targets.buildId, buildId)).orderBy(targets.position)
  const decimal = (amount: number) => toDecimal(amount, build.currency)
  return {
    name: build.name,
    purpose: build.purpose,
    currency: build.currency,
    region: build.region,
    budget: decimal(build.budget),
    stretch: decimal(build.stretch),
    wantedBy: build.wantedBy,
    houseRules: houseRulesInput(build.houseRules, build.currency),
    privateNote: build.privateNote,
    saleText: build.saleText,
    needs: build.needs.map(({ need, price }) => ({ need, price: decimal(price) })),
    targets: rows.map(({ workloadId, width, height, preset, averageFps, lowFps }) => ({
      workloadId,
      width,
      height,
      preset,
      averageFps,
      lowFps,
    })),
  }
}

/** Deletes or brings back a build. */
export async function setBuildDeleted(
  db: Database,
  buildId: string,
  deletedAt: string | null,
): Promise<void> {
  const { rowsAffected } = await db.update(builds).set({ deletedAt }).where(eq(builds.id, buildId))
  if (rowsAffected === 0) throw new NotFoundError(`there is no build "${buildId}"`)
}

export async function addChoice(
  db: Database,
  buildId: string,
  input: ChoiceInput,
  today: string,
): Promise<string> {
  return db.transaction(async (tx) => {
    const id = await insertChoice(tx, buildId, input)
    await assertReckonable(tx, buildId, today, 'leadId')
    return id
  })
}

export async function insertChoice(tx: Queryable, buildId: string, input: ChoiceInput): Promise<string> {
  const [build] = await tx
    .select()
    .from(builds)
    .where(and(eq(builds.id, buildId), isNull(builds.deletedAt)))
  if (!build) throw new NotFoundError(`there is no build "${buildId}"`)
  await assertTargetOfChoice(tx, input)
  const [last] = await tx
    .select({ position: max(choices.position) })
    .from(choices)
    .where(eq(choices.buildId, buildId))
  const id = newId('choice')
  await tx.insert(choices).values({
    id,
    buildId,
    position: (last?.position ?? -1) + 1,
    kind: input.kind,
    scope: input.scope,
    reason: input.reason,
    leadId: input.kind === 'lead' ? input.leadId : null,
    partId: input.kind === 'hunt' ? input.partId : null,
    shelfId: input.kind === 'owned' ? input.shelfId : null,
    limit: input.limit === null ? null : parseDecimal(input.limit, build.currency, 'limit'),
  })
  return id
}

async function assertTargetOfChoice(
  tx: Queryable,
  { kind, leadId, partId, shelfId }: ChoiceInput,
): Promise<void> {
  const found =
    kind === 'lead'
      ? await tx
          .select({ id: leads.id })
          .from(leads)
          .where(and(eq(leads.id, leadId!), isNull(leads.deletedAt)))
      : kind === 'hunt'
        ? await tx.select({ id: parts.id }).from(parts).where(eq(parts.id, partId!))
        : await tx
            .select({ id: shelf.id })
            .from(shelf)
            .where(and(eq(shelf.id, shelfId!), isNull(shelf.deletedAt)))
  if (found.length === 0)
    throw new CoreError(
      'unknown-choice',
      `what is chosen is not there (${leadId ?? partId ?? shelfId})`,
      kind === 'lead' ? 'leadId' : kind === 'hunt' ? 'partId' : 'shelfId',
    )
  if (kind === 'lead') {
    const kept = await tx
      .select()
      .from(leadThings)
      .where(and(eq(leadThings.leadId, leadId!), eq(leadThings.plan, 'keep')))
    if (kept.length === 0)
      throw new CoreError('nothing-kept', 'nothing of this lead is kept, so it fills no role', 'leadId')
  }
}

/** Changes a choice; returns the build it belongs to. */
export async function changeChoice(
  db: Database,
  choiceId: string,
  change: {
    scope?: ChoiceInput['scope']
    reason?: string
    limit?: string | null
    paidOn?: string | null
    leftOut?: string[]
    deletedAt?: string | null
  },
  today: string,
): Promise<string> {
  const [row] = await db
    .select({ buildId: choices.buildId, currency: builds.currency })
    .from(choices)
    .innerJoin(builds, eq(builds.id, choices.buildId))
    .where(eq(choices.id, choiceId))
  if (!row) throw new NotFoundError(`there is no choice "${choiceId}"`)
  const { limit, ...rest } = change
  const set = {
    ...rest,
    ...(limit === undefined
      ? {}
      : { limit: limit === null ? null : parseDecimal(limit, row.currency, 'limit') }),
  }
  if (Object.keys(set).length > 0) {
    await db.transaction(async (tx) => {
      await tx.update(choices).set(set).where(eq(choices.id, choiceId))
      await assertReckonable(tx, row.buildId, today, 'leadId')
    })
  }
  return row.buildId
}

export async function setRivals(
  db: Database,
  buildId: string,
  rivalIds: readonly string[],
  today: string,
): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.delete(buildRivals).where(eq(buildRivals.buildId, buildId))
    for (const rivalId of new Set(rivalIds)) await tx.insert(buildRivals).values({ buildId, rivalId })
    await assertReckonable(tx, buildId, today, 'rivals')
  })
}

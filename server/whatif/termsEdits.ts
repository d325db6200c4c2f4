import { ValidationError } from 'yup'
import { CoreError } from '#core/errors/coreError'
import { factKeys } from '#core/parts/facts'
import type { Part } from '#core/parts/part'
import type { ChangedTarget, LeadChange, TermsChange } from '#core/whatif/change'
import type { BuildRow } from '#server/context/findBuild'
import { leadsValued } from '#server/context/valuedLeads'
import { NotFoundError } from '#server/errors/notFoundError'
import type { RowEdit, World } from '#server/readings/world'
import type { HouseRules, MachineRules } from '#shared/brief/houseRules'
import { machineRulesSchema } from '#shared/brief/schemas'
import { partFactsSchema } from '#shared/parts/schemas'
import { weighingDefaults } from '#shared/scales/settings'

interface How {
  readonly today: string
  /** The id of what this change makes. */
  readonly id: string
}

/** Which rows it is that something turns out, or is agreed, of a lead. */
export function leadEdits(world: World, build: BuildRow, change: LeadChange, { today }: How): RowEdit[] {
  const row = world.rows.leads.one('id', change.lead)
  if (!row || row.deletedAt !== null) throw new NotFoundError('lead', change.lead)
  const as = (more: Partial<typeof row>): RowEdit[] => [
    { table: 'leads', id: row.id, row: { ...row, ...more } },
  ]
  switch (change.kind) {
    case 'price':
      return as({ agreedAmount: change.amount, agreedOn: today, agreedUntil: null })
    case 'answer': {
      const { fact, value } = change
      const [valued] = leadsValued(world, build, today, [row.id])
      if (!valued!.facts.some(({ key }) => key === fact))
        throw new CoreError('unknown-fact', { unknown: fact }, 'fact')
      const { [fact]: _was, ...answers } = row.answers
      return as({ answers: value === null ? answers : { ...answers, [fact]: value } })
    }
    case 'trip':
      if (change.trip !== null && !world.rows.trips.one('id', change.trip))
        throw new NotFoundError('trip', change.trip)
      return as({ tripId: change.trip })
    case 'trade-in':
      if (change.item !== null && !world.rows.items.one('id', change.item))
        throw new NotFoundError('item', change.item)
      return as({ tillCredit: change.credit, tillItemId: change.item })
  }
}

/** Which rows it is that the brief, a part or what is weighed by are otherwise. */
export function termsEdits(world: World, build: BuildRow, change: TermsChange, how: How): RowEdit[] {
  const ofBuild = (more: Partial<BuildRow>): RowEdit => ({
    table: 'builds',
    id: build.id,
    row: { ...build, ...more },
  })
  switch (change.kind) {
    case 'brief': {
      const { budget = build.budget, stretch = Math.max(budget, build.stretch), targets } = change
      const { wantedBy = build.wantedBy, houseRules = build.houseRules } = change
      return [
        ofBuild({ budget, stretch, wantedBy, houseRules: houseRules as HouseRules }),
        ...(targets ? targetEdits(world, build, targets, how.id) : []),
      ]
    }
    case 'fact': {
      const row = world.rows.parts.one('id', change.of)
      if (!row) throw new NotFoundError('part', change.of)
      const facts = factsAs(row.facts, change)
      return [{ table: 'parts', id: row.id, row: { ...row, facts } }]
    }
    case 'weigh': {
      const { years, rival, perHour, kind: _kind, ...use } = change
      const { houseRules } = build
      const machine = { ...machineRulesSchema.getDefault(), ...houseRules.machine, ...use } as MachineRules
      const rules = { ...houseRules, machine, ...(perHour === undefined ? {} : { perHour }) }
      const weighing = { ...weighingDefaults, ...build.weighing, ...(years === undefined ? {} : { years }) }
      return [ofBuild({ houseRules: rules, weighing }), ...(rival ? [rivalEdit(world, rival)] : [])]
    }
  }
}

/** The facts of a part with one otherwise, by the rules of the part's own form; refused where they are not met. */
function factsAs(
  facts: Part['facts'],
  { name, value }: Extract<TermsChange, { kind: 'fact' }>,
): Part['facts'] {
  if (!(factKeys as readonly string[]).includes(name))
    throw new CoreError('bad-fact', { name, why: 'there is no such fact' }, 'name')
  try {
    const { [name as keyof Part['facts']]: _was, ...others } = facts
    const changed = partFactsSchema.validateSync({ [name]: value })
    return { ...others, ...(changed as Part['facts']) }
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    throw new CoreError('bad-fact', { name, why: error.message }, 'value')
  }
}

function rivalEdit(world: World, { id, price }: { readonly id: string; readonly price: number }): RowEdit {
  const row = world.rows.rivals.one('id', id)
  if (!row || row.deletedAt !== null) throw new CoreError('unknown-rival', {}, 'rival.id')
  return { table: 'rivals', id, row: { ...row, price } }
}

/** All targets at once, as the brief has them. */
function targetEdits(
  world: World,
  build: BuildRow,
  targets: readonly ChangedTarget[],
  newId: string,
): RowEdit[] {
  const gone = world.rows.targets.where('buildId', build.id)
  return [
    ...gone.map(({ id }): RowEdit => ({ table: 'targets', id, row: null })),
    ...targets.map((target, position): RowEdit => {
      const workload = world.rows.workloads.one('id', target.workloadId)
      const path = `targets[${position}]`
      if (!workload)
        throw new CoreError('unknown-workload', { workloadId: target.workloadId }, `${path}.workloadId`)
      if (!workload.presets[target.preset])
        throw new CoreError(
          'unknown-preset',
          { name: workload.name, preset: target.preset },
          `${path}.preset`,
        )
      const id = `${newId}-${position}`
      return { table: 'targets', id, row: { ...target, id, buildId: build.id, position } }
    }),
  ]
}

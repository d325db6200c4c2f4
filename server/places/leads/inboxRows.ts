import type { Role } from '#core/parts/part'
import { rateTable } from '#core/money/rates'
import { daysBetween } from '#core/time/calendarDate'
import { choicesOf } from '#server/context/choicesOf'
import { buildRow, rootIdOf, type BuildRow } from '#server/context/findBuild'
import { part } from '#server/context/marketReadings'
import { leadsValued } from '#server/context/valuedLeads'
import { waitingOf } from '#server/context/waitingDays'
import { reading, sameContent, sameMembers } from '#server/readings/reading'
import type { World } from '#server/readings/world'
import { leadShows, type LeadOrder, type LeadShow } from '#shared/leads/inbox'
import { hitsOfBuild } from '../prices/lookouts'

/** Which rows an inbox has, and in which order: of a lead no more is read than that needs. */

/** The leads of an inbox by their ids; a listing that is gone leaves it, unless this build counts on it. */
export const inInbox = reading(
  'leads in inbox',
  (world, buildId: string): readonly string[] => {
    const build = buildRow(world, buildId)
    const chosen = new Set(choicesOf(world, build).map(({ leadId }) => leadId))
    const boughtHere = new Set(
      world.rows.orderLines.where('buildId', rootIdOf(world, build)).map(({ leadId }) => leadId),
    )
    return world.rows.leads
      .where('deletedAt', null)
      .filter(
        ({ id, vanishedOn, state }) =>
          (vanishedOn === null && state !== 'bought') || boughtHere.has(id) || chosen.has(id),
      )
      .map(({ id }) => id)
      .sort()
  },
  { same: sameMembers },
)

/** Whether the currency of a lead can be converted into that of the build. */
export function isConvertible(world: World, { currency }: BuildRow, leadId: string, today: string): boolean {
  const table = rateTable(world.rows.exchangeRates.all())
  return table.find(today, world.rows.leads.one('id', leadId)!.currency, currency) !== null
}

/** Those of them that can be valued. */
export const valuedInInbox = reading(
  'leads valued in inbox',
  (world, buildId: string, today: string): readonly string[] => {
    const build = buildRow(world, buildId)
    return inInbox(world, buildId).filter((id) => isConvertible(world, build, id, today))
  },
  { same: sameMembers },
)

/** The choice by which a build has a lead; null: it has not. */
export const chosenAs = reading(
  'lead chosen as',
  (world, buildId: string, leadId: string): string | null =>
    choicesOf(world, buildRow(world, buildId)).find(
      (choice) => choice.leadId === leadId && choice.voidBecause === null,
    )?.id ?? null,
  { most: 20_000 },
)

/** What decides on the place of a lead. */
interface InboxRow {
  readonly id: string
  readonly title: string
  readonly shows: readonly LeadShow[]
  readonly roles: readonly Role[]
  /** Smaller stands first; a lead without a known saving, or an end, last. */
  readonly keys: Readonly<Record<LeadOrder, number>>
}

const inboxRow = reading(
  'inbox row',
  (world, buildId: string, leadId: string, today: string): InboxRow => {
    const [valued] = leadsValued(world, buildRow(world, buildId), today, [leadId])
    const { lead, value, trip } = valued!
    const isHit = hitLeads(world, buildId, today).includes(leadId)
    const isOpen = lead.state === 'open'
    const shown: Readonly<Record<LeadShow, boolean>> = {
      open: isOpen && lead.things.length > 0,
      passed: lead.state === 'passed',
      chosen: chosenAs(world, buildId, leadId) !== null || lead.state === 'bought',
      hits: isHit,
      untied: isOpen && lead.things.length === 0,
      asked: isOpen && waitingOf(world, leadId, today) !== null,
    }
    return {
      id: lead.id,
      title: lead.title,
      shows: leadShows.filter((show) => shown[show]),
      roles: lead.things.filter(({ plan }) => plan === 'keep').map(({ partId }) => part(world, partId)!.role),
      keys: {
        saving: value.saving === null ? Infinity : -value.saving,
        price: value.payNow,
        age: daysBetween(lead.listedOn, today),
        ends: lead.endsOn === null ? Infinity : daysBetween(today, lead.endsOn),
        // what is sent has no distance; what is handed over and has no trip yet is not known, and stands between
        place: trip?.km ?? (lead.manner === 'local' ? 1e6 : 1e7),
      },
    }
  },
  { same: sameContent, most: 50_000 },
)

const hitLeads = reading(
  'leads under a watch',
  (world, buildId: string, today: string): readonly string[] =>
    hitsOfBuild(world, buildId, today).map(({ leadId }) => leadId),
  { same: sameMembers },
)

/** How many leads each choice of what is shown would show. */
export const inboxCounts = reading(
  'inbox counts',
  (world, buildId: string, today: string): Readonly<Record<LeadShow, number>> => {
    const counts = Object.fromEntries(leadShows.map((show) => [show, 0])) as Record<LeadShow, number>
    for (const id of valuedInInbox(world, buildId, today))
      for (const show of inboxRow(world, buildId, id, today).shows) counts[show] += 1
    return counts
  },
  { same: sameContent },
)

/** The leads that are shown, by their ids, in their order. */
export const inboxOrder = reading(
  'inbox order',
  (world, buildId: string, today: string, show: string, role: string, order: string): readonly string[] => {
    const ids = valuedInInbox(world, buildId, today)
    if (show === '' && role === '' && order === '') return ids
    const key = (row: InboxRow) => (order === '' ? 0 : row.keys[order as LeadOrder])
    return ids
      .map((id) => inboxRow(world, buildId, id, today))
      .filter(({ shows }) => show === '' || shows.includes(show as LeadShow))
      .filter(({ roles }) => role === '' || roles.includes(role as Role))
      .sort((a, b) => compare(key(a), key(b)) || compare(a.title, b.title) || compare(a.id, b.id))
      .map(({ id }) => id)
  },
  { same: sameMembers },
)

function compare<T extends number | string>(a: T, b: T): number {
  return a === b ? 0 : a < b ? -1 : 1
}

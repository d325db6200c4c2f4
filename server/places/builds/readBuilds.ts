import { houseSettings } from '#server/context/marketReadings'
import { waitingDays } from '#server/context/waitingDays'
import type { Database, Queryable } from '#server/db/client'
import { reading, sameContent, sameMembers } from '#server/readings/reading'
import { useWorld } from '#server/readings/useWorld'
import type { BuildStrip, BuildView, SessionView } from '#shared/builds/views'
import { hitsOfBuild } from '../prices/lookouts'
import { buildPage } from './buildView'

/** What the shell needs to know: the date taken for today, and the builds. */
export async function sessionView(db: Database, today: string): Promise<Omit<SessionView, 'asksPassphrase'>> {
  const world = await useWorld(db)
  return {
    today,
    builds: listed(world),
    soldRecords: world.records.records.length,
    homeCurrency: houseSettings(world).homeCurrency,
  }
}

/** The builds as strips: receipt foot, weakest target, what stops it, what is missing. */
export async function buildStrips(
  db: Pick<Queryable, 'select'>,
  today: string,
): Promise<readonly BuildStrip[]> {
  return stripsPage(await useWorld(db), today)
}

export const stripsPage = reading(
  'builds page',
  (world, today: string) => listed(world).map(({ id }) => strip(world, id, today)),
  { same: sameMembers },
)

const listed = reading(
  'builds',
  (world) =>
    world.rows.builds
      .where('deletedAt', null)
      .toSorted((a, b) =>
        a.createdAt !== b.createdAt ? (a.createdAt > b.createdAt ? -1 : 1) : a.name < b.name ? -1 : 1,
      )
      .map(({ id, name }) => ({ id, name })),
  { same: sameContent },
)

/** What a strip shows of a build as the build's own page has it. */
const shown = [
  'id',
  'name',
  'purpose',
  'wantedBy',
  'currency',
  'budget',
  'stretch',
  'state',
  'variantOf',
  'receipt',
  'targets',
  'emptyRoles',
  'breaches',
] as const satisfies readonly (keyof BuildView & keyof BuildStrip)[]

function membersOf<T, K extends keyof T>(from: T, names: readonly K[]): Pick<T, K> {
  return Object.fromEntries(names.map((name) => [name, from[name]])) as Pick<T, K>
}

const strip = reading(
  'strip',
  (world, id: string, today: string): BuildStrip => {
    const page = buildPage(world, id, today)
    const { fit, houseRules, assumptions, choices } = page
    const answerDays = houseRules.answerDays ?? assumptions.risk.answerDays
    return {
      ...membersOf(page, shown),
      findings: fit.findings,
      hits: hitsOfBuild(world, id, today),
      silent: waitingDays(world, today).filter((each) => each.days >= answerDays),
      gone: choices.flatMap((choice) =>
        choice.voidBecause === 'gone' && choice.leadId !== null
          ? [{ leadId: choice.leadId, title: choice.label }]
          : [],
      ),
    }
  },
  { most: 500, same: sameContent },
)

import { desc, isNull } from 'drizzle-orm'
import type { BuildStrip, SessionView } from '#shared/builds/views'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import { buildView } from './buildView'
import { lookoutHits } from '../prices/lookouts'
import { readSetting } from '#server/context/settings'
import { waitingDays } from '#server/context/waitingDays'
import { countSoldRecords } from '../prices/readPrices'

/** What the shell needs to know: the date taken for today, and the builds. */
export async function sessionView(db: Database, today: string): Promise<SessionView> {
  const rows = await db
    .select({ id: builds.id, name: builds.name })
    .from(builds)
    .where(isNull(builds.deletedAt))
    .orderBy(desc(builds.createdAt), builds.name)
  const [soldRecords, homeCurrency] = await Promise.all([
    countSoldRecords(db),
    readSetting(db, 'homeCurrency'),
  ])
  return { today, builds: rows, soldRecords, homeCurrency }
}

/** The builds as strips: receipt foot, weakest target, what stops it, what is missing. */
export async function buildStrips(db: Database, today: string): Promise<BuildStrip[]> {
  const { builds: list } = await sessionView(db, today)
  const hits = await lookoutHits(db, today)
  const said = await waitingDays(db, today)
  return Promise.all(
    list.map(async ({ id }) => {
      const {
        name,
        purpose,
        wantedBy,
        currency,
        budget,
        stretch,
        state,
        variantOf,
        receipt,
        targets,
        fit,
        emptyRoles,
        breaches,
        houseRules,
        assumptions,
        choices,
      } = await buildView(db, id, today)
      const answerDays = houseRules.answerDays ?? assumptions.risk.answerDays
      return {
        id,
        name,
        purpose,
        wantedBy,
        currency,
        budget,
        stretch,
        state,
        variantOf,
        receipt,
        targets,
        findings: fit.findings,
        emptyRoles,
        breaches,
        hits: hits.filter((hit) => hit.buildId === id),
        silent: said.filter((each) => each.days >= answerDays),
        gone: choices.flatMap((choice) =>
          choice.voidBecause === 'gone' && choice.leadId !== null
            ? [{ leadId: choice.leadId, title: choice.label }]
            : [],
        ),
      }
    }),
  )
}

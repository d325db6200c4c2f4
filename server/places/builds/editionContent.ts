import { normaliseTitle } from '#core/reading/titles/normaliseTitle'
import { helpText } from '#core/performance/model/targetName'
import { eq } from 'drizzle-orm'
import type { EditionContent, EditionLine, EditionStreet } from '#core/files/editions/edition'
import { verdictText } from '#core/comparison/verdict/verdict'
import { scopeNames } from '#core/ledger/scopes'
import type { PartQuery } from '#core/reading/titles/queryForPart'
import { formatAmount } from '#core/money/formatAmount'
import { convertAmount, rateTable } from '#core/money/rates'
import { readStreetPrice, useMarket } from '#server/context/market'
import type { Market } from '#server/context/marketState'
import { valuedLeads, type ValuedLead } from '#server/context/valuedLeads'
import type { Database } from '#server/db/client'
import { builds } from '#server/db/schema/builds'
import type { BuildView } from '#shared/builds/views'
import type { ItemView } from '#shared/ledger/views'

/** What an edition tells beyond the build itself: questions to sellers, how each line is got, what each part sells for. */
export interface EditionNotes {
  readonly questions: readonly string[]
  ofChoice(leadId: string | null): Pick<EditionLine, 'link' | 'codes' | 'rebates'>
  streetOf(partId: string): EditionStreet | null
}

const noNotes: EditionNotes = { questions: [], ofChoice: () => ({}), streetOf: () => null }

const definedStreet = (street: EditionStreet | null) => (street ? { street } : {})

/** What was found of a thing that came, in the words of its checks. */
const stateOf = ({ state, checks }: ItemView) =>
  state === 'works' ? ['works', ...checks].join(', ') : state === 'unseen' ? 'not inspected yet' : state

/** The notes of an edition that is frozen today. */
export async function editionNotes(db: Database, view: BuildView, today: string): Promise<EditionNotes> {
  const [build] = await db.select().from(builds).where(eq(builds.id, view.id))
  const market = await useMarket(db)
  const chosen = view.choices.flatMap((choice) =>
    choice.voidBecause === null && choice.leadId !== null ? [choice.leadId] : [],
  )
  const valued = await valuedLeads(db, build!, today, [...new Set(chosen)])
  const open = new Set(
    view.choices.flatMap(({ kind, leadId }) => (kind === 'lead' && leadId !== null ? [leadId] : [])),
  )
  return {
    questions: valued
      .filter(({ lead }) => open.has(lead.id))
      .flatMap(({ lead, facts }) =>
        facts
          .filter((fact) => fact.state === 'missing' || fact.state === 'contradictory')
          .map((fact) => `${lead.title}: ${fact.question}`),
      ),
    ofChoice: (leadId) => {
      const each = valued.find(({ lead }) => lead.id === leadId)
      return each ? howToGet(each, view.currency, market, today) : {}
    },
    streetOf: (partId) => streetOf(market, partId, view.currency, today),
  }
}

/** Where a lead is, which codes lower it and until when, and what comes back for it. */
function howToGet(
  { lead, rebates, value }: ValuedLead,
  currency: string,
  market: Market,
  today: string,
): Pick<EditionLine, 'link' | 'codes' | 'rebates'> {
  const rate = rateTable(market.rates).find(today, lead.currency, currency)
  return {
    link: lead.url,
    codes: value.order.codes.map((code) => ({
      word: code.id,
      takesOff:
        code.kind === 'percent'
          ? `${code.value} %`
          : `${formatAmount(code.value, lead.currency)} ${lead.currency}`,
      lastDay: code.validUntil ?? null,
    })),
    rebates: rebates.flatMap(({ kind, amount, claimBy }) => {
      const here =
        lead.currency === currency
          ? amount
          : rate === null
            ? null
            : convertAmount(amount, lead.currency, currency, rate)
      return here === null ? [] : [{ kind, amount: here, lastDay: claimBy }]
    }),
  }
}

/** Sizes and kinds by which titles are distinguished, beside their words. */
function sizesOf({ variant }: PartQuery): string[] {
  const { capacityGb, kitCount, memoryGeneration, interface: kind } = variant ?? {}
  return [
    ...(capacityGb === undefined ? [] : [`${capacityGb} GB`]),
    ...(kitCount === undefined || kitCount < 2 ? [] : [`kit of ${kitCount}`]),
    ...(memoryGeneration === undefined ? [] : [memoryGeneration]),
    ...(kind === undefined ? [] : [kind]),
  ]
}

/** The marks of a part with what they rest on; null where it was never sold. */
function streetOf(market: Market, partId: string, currency: string, today: string): EditionStreet | null {
  const query = market.queries.get(partId)
  if (!query) return null
  const { marks, kept, dropped } = readStreetPrice(market, partId, today, currency)
  if (marks === null) return null
  const ids = new Set(kept.map(({ id }) => id))
  const sales = [...market.index.candidates(query.must)].filter(({ id }) => ids.has(id))
  const days = sales.map(({ soldOn }) => soldOn).sort()
  return {
    ...marks,
    count: kept.length,
    from: days[0] ?? '',
    to: days.at(-1) ?? '',
    manners: query.manners,
    sites: [...new Set(sales.map(({ source }) => source))].sort(),
    leftOutByHand: dropped.filter(({ reason }) => reason === 'builder').length,
    words: [...new Set([...makeOf(market, partId), ...query.must, ...sizesOf(query)])],
  }
}

/** The make in the words of titles, as a search for the same sales wants it; none where it has none. */
const makeOf = (market: Market, partId: string): string[] => {
  const make = market.library.find(({ id }) => id === partId)?.make ?? ''
  return make === '' ? [] : normaliseTitle(make)
}

/** A build as it stands, in the shape that is frozen. */
export function editionContent(
  view: BuildView,
  today: string,
  { questions, ofChoice, streetOf }: EditionNotes = noNotes,
): EditionContent {
  const { totals } = view.receipt
  return {
    format: 'tarvin-edition',
    version: '1',
    name: view.name,
    purpose: view.purpose,
    saleText: view.saleText,
    currency: view.currency,
    region: view.region,
    frozenOn: today,
    lines: view.choices
      .filter((choice) => choice.voidBecause === null)
      .map((choice) => ({
        label: choice.label,
        parts: choice.parts.map(({ id, role }) => ({
          ...lineProper(view, id, role),
          ...definedStreet(streetOf(id)),
        })),
        scope: scopeNames[choice.scope],
        source: choice.source,
        kind: choice.kind === 'item' ? (choice.paidOn === null ? 'owned' : 'lead') : choice.kind,
        payNow: choice.payNow,
        isPaid: choice.paidOn !== null,
        anyoneCanPay: choice.anyoneCanPay,
        ...(choice.kind === 'hunt' ? { daysToWait: choice.expectedWait } : {}),
        reason: choice.reason,
        condition: choice.condition,
        ...(choice.item ? { state: stateOf(choice.item) } : {}),
        ...ofChoice(choice.leadId),
      })),
    totals: {
      payNow: totals.payNow,
      afterRebates: totals.afterRebates,
      expected: totals.expected,
      anyoneCanPay: totals.anyoneCanPay,
      unknownStreet: totals.unknownStreet,
      budget: view.budget,
    },
    targets: view.targets.map((target) => {
      const measured = target.measured.find((run) => run.stands)
      return {
        name: `${target.workload} ${target.width}×${target.height} ${target.preset}${helpText(target)}`,
        wanted: target.averageFps,
        wantedLow: target.lowFps,
        averageFps: measured?.averageFps ?? target.estimate?.averageFps ?? null,
        range: measured ? null : (target.estimate?.range ?? null),
        lowFps: measured ? measured.lowFps : (target.estimate?.lowFps ?? null),
        isMeasured: measured !== undefined,
        ...(target.heat === null ? {} : { heat: target.heat }),
        verdict: target.verdict,
      }
    }),
    weighing: {
      years: view.weighing.settings.years,
      machines: [view.weighing.own, ...view.weighing.others].map(({ machine, cost }) => ({
        name: machine.name,
        steps: cost.steps.map(({ id, label, amount }) => ({ id, label, amount })),
        total: cost.total,
      })),
      verdicts: view.weighing.others.flatMap((other) => (other.verdict ? [verdictText(other.verdict)] : [])),
    },
    findings: view.fit.findings.map(({ severity, what }) => ({ severity, what })),
    openQuestions: [
      ...questions,
      ...view.fit.cannotCheck.map((each) => each.what),
      ...view.weighing.others.flatMap((other) =>
        other.questions.map(({ question }) => `${other.machine.name}: ${question}`),
      ),
    ],
  }
}

function lineProper(view: BuildView, id: string, role: string): EditionLine['parts'][number] {
  const part = view.parts.find((each) => each.id === id)
  const named = view.choices.flatMap((choice) => choice.parts).find((each) => each.id === id)
  return { id, role, make: part?.make ?? '', name: part?.name ?? named?.name ?? id }
}

import { addDays, addMonths } from '#core/time/calendarDate'
import type { ReadBuild } from '#server/context/readBuild'
import type { World } from '#server/readings/world'
import type { Deadline } from '#shared/ledger/views'

/** What is still said of a date that has passed: money and things that should have come. */
const staysLate: ReadonlySet<Deadline['kind']> = new Set(['expected', 'delivery', 'wanted'])
/** A thing that was paid and has not come after so many days is late. */
const deliveryDays = 14

type Date = Omit<Deadline, 'isLate'>

/** Dates of what is bought or chosen, the nearest first; what is late before all. */
export function deadlines(world: World, read: ReadBuild, today: string): Deadline[] {
  const { view } = read
  const dates: Date[] = [
    ...datesOfLeads(world, read),
    ...read.items.flatMap((item) => datesOfItem(item, read)),
    ...(view.wantedBy === null || view.state !== 'planned'
      ? []
      : [{ day: view.wantedBy, what: 'the PC is due', kind: 'wanted' as const, money: null }]),
  ]
  return dates
    .map((each) => ({ ...each, isLate: each.day < today }))
    .filter(({ isLate, kind }) => !isLate || staysLate.has(kind))
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
}

/** Of what is chosen and not paid, and of the rebates on what was bought. */
function datesOfLeads({ rows }: World, { view, holdings, orders }: ReadBuild): Date[] {
  const chosen = orders.flatMap((order) => order.leads).filter((each) => each.buildId === view.id)
  const own = [...new Set(chosen.map(({ valued }) => valued.lead))]
  const codeRows = own.flatMap(({ id }) => rows.codes.where('leadId', id))
  const offered = own.flatMap(({ id, title, currency }) =>
    rows.rebates
      .where('leadId', id)
      .flatMap((rebate) => (rebate.lineId === null ? { rebate, title, currency } : [])),
  )
  const lines = new Map(holdings.lines.map((line) => [line.id, line]))
  const claims = [
    ...offered,
    ...holdings.rebates.map((rebate) => {
      const line = lines.get(rebate.lineId!)
      return { rebate, title: line?.label ?? '', currency: line?.order.currency ?? view.currency }
    }),
  ]
  return [
    ...claims.flatMap(({ rebate, title, currency }): Date[] => {
      const money = { amount: rebate.amount, currency }
      if (rebate.state === 'to-claim')
        return [{ day: rebate.claimBy, what: `claim the rebate on ${title}`, kind: 'claim', money }]
      return rebate.state === 'claimed' && rebate.expectedBy !== null
        ? [{ day: rebate.expectedBy, what: `the rebate on ${title} is due`, kind: 'expected', money }]
        : []
    }),
    ...chosen.flatMap(({ valued: { lead, sourceName } }): Date[] => [
      ...(lead.endsOn === null
        ? []
        : [
            {
              day: lead.endsOn,
              what: `${lead.title} ends at ${sourceName}`,
              kind: 'auction' as const,
              money: { amount: lead.price, currency: lead.currency },
            },
          ]),
      ...(lead.agreedUntil === null
        ? []
        : [
            {
              day: lead.agreedUntil,
              what: `agreed price for ${lead.title} expires`,
              kind: 'agreed' as const,
              money:
                lead.agreedAmount === null ? null : { amount: lead.agreedAmount, currency: lead.currency },
            },
          ]),
    ]),
    ...codeRows.flatMap((code): Date[] =>
      code.validUntil === null
        ? []
        : [{ day: code.validUntil, what: `code ${code.word} expires`, kind: 'code', money: null }],
    ),
  ]
}

/** Of a thing that was paid: that it should come, the last day to send it back, the end of its warranty. */
function datesOfItem(item: ReadBuild['items'][number], { view, holdings, scales }: ReadBuild): Date[] {
  const line = holdings.lines.find(({ id }) => id === item.lineId)
  const money = { amount: item.cost, currency: view.currency }
  if (item.place === 'ordered' && line)
    return [
      {
        day: addDays(line.order.day, deliveryDays),
        // the day is named: it is read on other days than today
        what: `${item.name}, paid on ${line.order.day}, is due`,
        kind: 'delivery',
        money,
      },
    ]
  if (item.place !== 'build') return []
  const isBad = item.state === 'faulty' || item.state === 'dead'
  const months = scales.market.assumptions.resale['warranty.new']
  return [
    ...(item.returnBy !== null && isBad
      ? [{ day: item.returnBy, what: `last day to return ${item.name}`, kind: 'return' as const, money }]
      : []),
    ...(item.condition === 'new' && line
      ? [
          {
            day: addMonths(line.order.day, months),
            what: `warranty of ${item.name} ends`,
            kind: 'warranty' as const,
            money,
          },
        ]
      : []),
  ]
}

import { marketPriceLine } from '../../ledger/marketPriceText'
import { partLabel, roleNames, type Role } from '../../parts/part'
import { formatAmount } from '../../money/formatAmount'
import { scopeNames } from '../../ledger/scopes'
import type { EditionContent, EditionLine } from './edition'

export const editionReaders = ['buyer', 'repeater', 'adviser'] as const
/** Who an edition is for: who buys the machine · who builds the same · who is asked for advice. */
export type EditionReader = (typeof editionReaders)[number]

/** What an edition shows, in tables: one shape for Markdown and HTML. */
export interface EditionTable {
  readonly title: string
  readonly head: readonly string[]
  /** Columns of figures, which stand to the right. */
  readonly figures: readonly number[]
  readonly rows: readonly (readonly string[])[]
}

/**
 * The tables of an edition for a reader; empty ones are left out. A buyer reads what is in the machine and how fast it
 * is, and no amount of money; who repeats it what each thing really sells for and how to get it; an adviser all of it,
 * with what is open and where money might be saved.
 */
export function editionTables(edition: EditionContent, reader: EditionReader = 'adviser'): EditionTable[] {
  const tables = { buyer: buyerTables, repeater: repeaterTables, adviser: adviserTables }[reader](edition)
  return tables.filter((table) => table.rows.length > 0)
}

const amountIn = (currency: string) => (value: number | null) =>
  value === null ? 'not known' : formatAmount(value, currency)

const namesOf = ({ label, parts }: EditionLine) =>
  parts.length === 0 ? label : parts.map(partLabel).join(' + ')

function buyerTables(edition: EditionContent): EditionTable[] {
  return [
    {
      title: 'Parts',
      head: ['part', 'model', 'condition', 'condition found'],
      figures: [],
      rows: soldWith(edition.lines).map((line) => [
        namesOf(line),
        [...new Set(line.parts.map(({ role }) => roleNames[role as Role] ?? role))].join(', '),
        line.condition ?? '—',
        line.state ?? '—',
      ]),
    },
    {
      title: 'Performance',
      head: ['game', 'average', '1 % low'],
      figures: [1, 2],
      rows: edition.targets
        .filter(({ averageFps }) => averageFps !== null)
        .map((target) => [
          target.name,
          `${Math.round(target.averageFps!)} ` +
            `${target.isMeasured ? 'measured' : 'estimated'}${target.heat ? `; ${target.heat}` : ''}`,
          target.lowFps === null ? 'not measured' : String(Math.round(target.lowFps)),
        ]),
    },
  ]
}

/** Lines that go with the machine: what was bought to try things with stays. */
export const soldWith = (lines: readonly EditionLine[]): EditionLine[] =>
  lines.filter(({ scope }) => scope !== scopeNames.test)

function repeaterTables(edition: EditionContent): EditionTable[] {
  const amount = amountIn(edition.currency)
  const parts = edition.lines.flatMap((line) => line.parts.map((part) => ({ line, part })))
  return [
    {
      title: 'Parts and their real prices',
      head: ['part', 'condition', 'patient', 'typical', 'quick', 'sales', 'my price', 'market price'],
      figures: [2, 3, 4, 5, 6, 7],
      rows: parts.map(({ line, part }) => [
        partLabel(part),
        line.condition ?? '—',
        ...(['patient', 'typical', 'hurried'] as const).map((mark) => amount(part.street?.[mark] ?? null)),
        part.street ? `${part.street.count}, ${part.street.from} to ${part.street.to}` : 'none',
        line.parts.length === 1 ? amount(line.payNow) : 'in a lot',
        line.parts.length === 1 ? amount(line.anyoneCanPay) : 'in a lot',
      ]),
    },
    {
      title: 'Search words for the same sales',
      head: ['part', 'title words', 'sale type', 'sites', 'left out by hand', 'days to wait'],
      figures: [4, 5],
      rows: parts.flatMap(({ line, part }) =>
        part.street
          ? [
              [
                partLabel(part),
                part.street.words.join(' '),
                part.street.manners.join(', '),
                (part.street.sites ?? []).join(', ') || '—',
                String(part.street.leftOutByHand ?? 0),
                line.daysToWait === undefined || line.daysToWait === null
                  ? 'not known'
                  : String(Math.ceil(line.daysToWait)),
              ],
            ]
          : [],
      ),
    },
    {
      title: 'Where to buy, by shop',
      head: ['shop', 'part', 'link', 'codes', 'rebates'],
      figures: [],
      rows: [...edition.lines]
        .filter(({ kind }) => kind === 'lead')
        .sort((a, b) => (a.source < b.source ? -1 : a.source > b.source ? 1 : 0))
        .map((line) => [
          line.source,
          namesOf(line),
          line.link || '—',
          (line.codes ?? [])
            .map(
              ({ word, takesOff, lastDay }) => `${word} (${takesOff}${lastDay ? `, until ${lastDay}` : ''})`,
            )
            .join('; ') || '—',
          (line.rebates ?? [])
            .map(({ kind, amount: value, lastDay }) => `${amount(value)} ${kind}, claim by ${lastDay}`)
            .join('; ') || '—',
        ]),
    },
    {
      title: 'Lucky finds',
      head: ['part', `under the patient price, ${edition.currency}`],
      figures: [1],
      rows: parts.flatMap(({ line, part }) =>
        line.parts.length === 1 && part.street && line.payNow !== null && line.payNow < part.street.patient
          ? [[partLabel(part), amount(part.street.patient - line.payNow)]]
          : [],
      ),
    },
    {
      title: 'Totals',
      head: ['total', `amount, ${edition.currency}`],
      figures: [1],
      rows: [
        ['total of this build', amount(edition.totals.payNow)],
        ...besideLines(edition),
        ['market price', marketPriceLine(edition.totals, edition.currency)],
      ],
    },
    fastTable(edition),
  ]
}

/** What the total holds beyond the lines: fees, trips, what was sent back; nothing where one of them is not known. */
function besideLines({ lines, totals, currency }: EditionContent): string[][] {
  const sum = lines.reduce<number | null>(
    (all, { payNow }) => (all === null || payNow === null ? null : all + payNow),
    0,
  )
  const beside = sum === null || totals.payNow === null ? 0 : totals.payNow - sum
  return beside === 0 ? [] : [['of it fees, trips and parts sent back', amountIn(currency)(beside)]]
}

/** Lines still to be paid that are dearer than what the part typically sells for. */
function savingsTable(edition: EditionContent): EditionTable {
  const amount = amountIn(edition.currency)
  return {
    title: 'Where you could save',
    head: ['part', 'still to pay', 'typical', 'above typical'],
    figures: [1, 2, 3],
    rows: edition.lines
      .flatMap((line) => {
        const typical = line.parts.length === 1 ? line.parts[0]!.street?.typical : undefined
        const isOver = !line.isPaid && line.payNow !== null && typical !== undefined && line.payNow > typical
        return isOver ? [{ line, typical, over: line.payNow - typical }] : []
      })
      .sort((a, b) => b.over - a.over)
      .map(({ line, typical, over }) => [line.label, amount(line.payNow), amount(typical), amount(over)]),
  }
}

function adviserTables(edition: EditionContent): EditionTable[] {
  const amount = amountIn(edition.currency)
  const { totals, weighing } = edition
  const steps = [
    ...new Map(
      weighing.machines.flatMap((machine) => machine.steps.map((step) => [step.id, step.label] as const)),
    ),
  ]
  return [
    {
      title: 'Open questions',
      head: ['question'],
      figures: [],
      rows: edition.openQuestions.map((question) => [question]),
    },
    savingsTable(edition),
    {
      title: 'Parts',
      head: ['part', 'scope', 'from', 'paid', 'total', 'market price', 'reason'],
      figures: [3, 4, 5],
      rows: edition.lines.map((line) => [
        line.label,
        line.scope,
        line.source,
        line.isPaid ? amount(line.payNow) : '—',
        amount(line.payNow),
        amount(line.anyoneCanPay),
        line.reason,
      ]),
    },
    {
      title: 'Totals',
      head: ['total', `amount, ${edition.currency}`],
      figures: [1],
      rows: [
        ['total', amount(totals.payNow)],
        ...besideLines(edition),
        ['after rebates', amount(totals.afterRebates)],
        ['expected total', amount(totals.expected)],
        ['market price', marketPriceLine(edition.totals, edition.currency)],
        ['budget', amount(totals.budget)],
      ],
    },
    fastTable(edition),
    {
      title: `Cost of ownership over ${weighing.years} years`,
      head: ['step', ...weighing.machines.map((machine) => machine.name)],
      figures: weighing.machines.map((_, index) => index + 1),
      rows:
        weighing.machines.length < 2
          ? []
          : [
              ...steps.map(([id, label]) => [
                label,
                ...weighing.machines.map((machine) =>
                  amountOrDash(machine.steps.find((step) => step.id === id)?.amount, amount),
                ),
              ]),
              ['like for like', ...weighing.machines.map((machine) => amount(machine.total))],
            ],
    },
    {
      title: 'Findings',
      head: ['severity', 'what'],
      figures: [],
      rows: edition.findings.map((finding) => [finding.severity, finding.what]),
    },
  ]
}

function amountOrDash(value: number | undefined, amount: (value: number) => string): string {
  return value === undefined ? '—' : amount(value)
}

function fastTable(edition: EditionContent): EditionTable {
  return {
    title: 'Performance',
    head: ['target', 'target fps', 'average', '90 % range', '1 % low', 'verdict'],
    figures: [1, 2, 3, 4],
    rows: edition.targets.map((target) => [
      target.name,
      `${target.wanted}${target.wantedLow === null ? '' : ` / ${target.wantedLow}`}`,
      target.averageFps === null
        ? 'not known'
        : `${Math.round(target.averageFps)}${target.isMeasured ? ' measured' : ' estimated'}`,
      target.range === null ? '—' : `${Math.round(target.range.low)}–${Math.round(target.range.high)}`,
      target.lowFps === null ? '—' : String(Math.round(target.lowFps)),
      target.verdict ?? 'not known',
    ]),
  }
}

import { helpText } from '#core/performance/model/targetName'
import { formatAmount } from '#core/money/formatAmount'
import { toDecimal } from '#core/money/decimal'
import { verdictText } from '#core/comparison/verdict/verdict'
import { scopeNames } from '#core/ledger/scopes'
import { csvTable } from '#core/files/export/csvCell'
import { markdownText } from '#core/files/export/markdownText'
import { marketPriceLine } from '#core/ledger/marketPriceText'
import type { ReceiptLine } from '#core/ledger/receipt'
import type { BuildView } from '#shared/builds/views'

/** What a build cost beside the things in it: fees, trips, what came and went. With the things it adds up to the total. */
function otherLines({ receipt, choices }: BuildView): readonly ReceiptLine[] {
  const shown = new Set(choices.map((choice) => choice.id))
  const { paid, toBuy } = receipt.groups
  return [...paid, ...toBuy].filter((line) => !shown.has(line.id))
}

/** The lines of a build as CSV; their total adds up to that of the receipt. */
export function linesCsv(view: BuildView): string {
  const decimal = (amount: number | null) => (amount === null ? null : toDecimal(amount, view.currency))
  return csvTable(
    [
      'part',
      'roles',
      'scope',
      'kind',
      'source',
      'total',
      'after rebates',
      'expected total',
      'market price',
      'currency',
      'reason',
    ],
    view.choices
      .map((choice) => [
        choice.label,
        choice.roles.join(' '),
        scopeNames[choice.scope],
        choice.kind,
        choice.source,
        decimal(choice.payNow),
        decimal(choice.afterRebates),
        decimal(choice.expected),
        decimal(choice.anyoneCanPay),
        view.currency,
        choice.reason,
      ])
      .concat(
        otherLines(view).map((line) => [
          line.label,
          '',
          scopeNames[line.scope],
          line.kind,
          '',
          decimal(line.payNow),
          decimal(line.afterRebates),
          decimal(line.expected),
          '',
          view.currency,
          '',
        ]),
      ),
  )
}

/** The build as Markdown to share: what it is for, its lines, totals, targets, findings. */
export function buildMarkdown(view: BuildView): string {
  const amount = (value: number | null) => (value === null ? 'not known' : formatAmount(value, view.currency))
  const { totals } = view.receipt
  const standing = view.choices.filter((choice) => choice.voidBecause === null)
  return [
    `# ${markdownText(view.name)}`,
    '',
    ...(view.purpose === '' ? [] : [markdownText(view.purpose), '']),
    ...(view.saleText === '' ? [] : [markdownText(view.saleText), '']),
    `Budget ${amount(view.budget)} ${view.currency}, stretch ${amount(view.stretch)}. As of ${view.today}.`,
    '',
    '| part | scope | source | total | market price | reason |',
    '| --- | --- | --- | ---: | ---: | --- |',
    ...standing.map(
      (choice) =>
        `| ${markdownText(choice.label)} | ${scopeNames[choice.scope]} | ` +
        `${markdownText(choice.source)} | ${amount(choice.payNow)} | ` +
        `${amount(choice.anyoneCanPay)} | ${markdownText(choice.reason)} |`,
    ),
    ...otherLines(view).map(
      (line) => `| ${markdownText(line.label)} | ${scopeNames[line.scope]} | | ${amount(line.payNow)} | | |`,
    ),
    '',
    '| sum | amount |',
    '| --- | ---: |',
    `| total | ${amount(totals.payNow)} |`,
    `| after rebates | ${amount(totals.afterRebates)} |`,
    `| expected total | ${amount(totals.expected)} |`,
    `| market price | ${marketPriceLine(totals, view.currency)} |`,
    ...(view.targets.length === 0
      ? []
      : [
          '',
          '| target | fps wanted | estimate | verdict |',
          '| --- | ---: | ---: | --- |',
          ...view.targets.map(targetRow),
        ]),
    ...(view.fit.findings.length === 0
      ? []
      : [
          '',
          '## Findings',
          '',
          ...view.fit.findings.map((finding) => `- ${finding.severity}: ${markdownText(finding.what)}`),
        ]),
    ...view.weighing.others.flatMap((other) =>
      other.verdict
        ? [
            '',
            `**Compared with ${markdownText(other.machine.name)}.** ${markdownText(verdictText(other.verdict))}`,
          ]
        : [],
    ),
    '',
  ].join('\n')
}

function targetRow(target: BuildView['targets'][number]): string {
  const estimate = target.estimate
    ? `${Math.round(target.estimate.averageFps)} ` +
      `(${Math.round(target.estimate.range.low)}–${Math.round(target.estimate.range.high)})`
    : 'not known'
  return (
    `| ${markdownText(target.workload)} ${target.width}×${target.height} ` +
    `${target.preset}${helpText(target)} | ${target.averageFps} | ${estimate} | ` +
    `${target.verdict ?? 'not known'} |`
  )
}

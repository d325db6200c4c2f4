import { formatAmount } from '#core/money/formatAmount'
import { toDecimal } from '#core/money/decimal'
import { scopeNames } from '#core/ledger/scopes'
import { csvTable } from '#core/files/export/csvCell'
import { markdownText } from '#core/files/export/markdownText'
import type { BuildView } from '#shared/builds/views'

/** The lines of a build as CSV. */
export function linesCsv(view: BuildView): string {
  const decimal = (amount: number | null) => (amount === null ? null : toDecimal(amount, view.currency))
  return csvTable(
    [
      'thing',
      'roles',
      'scope',
      'kind',
      'source',
      'pay now',
      'after rebates',
      'expected',
      'anyone can pay',
      'currency',
      'reason',
    ],
    view.choices.map((choice) => [
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
    ]),
  )
}

/** The build as Markdown to share: what it is for, its lines, totals, targets, findings. */
export function buildMarkdown(view: BuildView): string {
  const amount = (value: number | null) => (value === null ? 'not known' : formatAmount(value, view.currency))
  const { totals } = view.receipt
  return [
    `# ${markdownText(view.name)}`,
    '',
    ...(view.purpose === '' ? [] : [markdownText(view.purpose), '']),
    ...(view.saleText === '' ? [] : [markdownText(view.saleText), '']),
    `Budget ${amount(view.budget)} ${view.currency}, stretch ${amount(view.stretch)}. As of ${view.today}.`,
    '',
    '| thing | scope | from | pay now | anyone can pay | why |',
    '| --- | --- | --- | ---: | ---: | --- |',
    ...view.choices.map(
      (choice) =>
        `| ${markdownText(choice.label)} | ${scopeNames[choice.scope]} | ${markdownText(choice.source)} | ${amount(choice.payNow)} | ${amount(choice.anyoneCanPay)} | ${markdownText(choice.reason)} |`,
    ),
    '',
    '| total | amount |',
    '| --- | ---: |',
    `| pay now | ${amount(totals.payNow)} |`,
    `| after rebates | ${amount(totals.afterRebates)} |`,
    `| expected | ${amount(totals.expected)} |`,
    `| anyone can pay | ${amount(totals.anyoneCanPay)} |`,
    ...(view.targets.length === 0
      ? []
      : [
          '',
          '| target | wanted | estimate | verdict |',
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
        ? ['', `**Against ${markdownText(other.machine.name)}.** ${markdownText(other.verdict.sentence)}`]
        : [],
    ),
    '',
  ].join('\n')
}

function targetRow(target: BuildView['targets'][number]): string {
  const estimate = target.estimate
    ? `${Math.round(target.estimate.averageFps)} (${Math.round(target.estimate.range.low)}–${Math.round(target.estimate.range.high)})`
    : 'not known'
  return `| ${markdownText(target.workload)} ${target.width}×${target.height} ${target.preset} | ${target.averageFps} | ${estimate} | ${target.verdict ?? 'not known'} |`
}

import { formatAmount } from '../../money/formatAmount'
import { toDecimal } from '../../money/decimal'
import { csvTable } from '../export/csvCell'
import type { EditionContent } from './edition'
import { markdownText } from '../export/markdownText'

/** An edition as a CSV of its lines. */
export function editionCsv(edition: EditionContent): string {
  const decimal = (amount: number | null) => (amount === null ? null : toDecimal(amount, edition.currency))
  return csvTable(
    ['thing', 'roles', 'scope', 'kind', 'source', 'paid', 'pay now', 'anyone can pay', 'currency', 'reason'],
    edition.lines.map((line) => [
      line.label,
      [...new Set(line.parts.map((part) => part.role))].join(' '),
      line.scope,
      line.kind,
      line.source,
      line.isPaid ? decimal(line.payNow) : null,
      decimal(line.payNow),
      decimal(line.anyoneCanPay),
      edition.currency,
      line.reason,
    ]),
  )
}

/** What an edition shows, in tables: one shape for Markdown and HTML. */
export interface EditionTable {
  readonly title: string
  readonly head: readonly string[]
  /** Columns of figures, which stand to the right. */
  readonly figures: readonly number[]
  readonly rows: readonly (readonly string[])[]
}

/** The tables of an edition: lines with paid beside anyone-can-pay, totals, targets, weighing, findings, open questions. Empty ones are left out. */
export function editionTables(edition: EditionContent): EditionTable[] {
  const amount = (value: number | null) =>
    value === null ? 'not known' : formatAmount(value, edition.currency)
  const { totals, weighing } = edition
  const steps = [
    ...new Map(
      weighing.machines.flatMap((machine) => machine.steps.map((step) => [step.id, step.label] as const)),
    ),
  ]
  const tables: EditionTable[] = [
    {
      title: 'What is in it',
      head: ['thing', 'scope', 'from', 'paid', 'pay now', 'anyone can pay', 'why'],
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
        ['pay now', amount(totals.payNow)],
        ['after rebates', amount(totals.afterRebates)],
        ['expected', amount(totals.expected)],
        [
          `anyone can pay${totals.unknownStreet > 0 ? ` (${totals.unknownStreet} without a street price)` : ''}`,
          amount(totals.anyoneCanPay),
        ],
        ['budget', amount(totals.budget)],
      ],
    },
    {
      title: 'How fast',
      head: ['target', 'wanted', 'average', '90 % range', '1 % low', 'verdict'],
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
    },
    {
      title: `What it takes to own, over ${weighing.years} years`,
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
    {
      title: 'Open questions',
      head: ['question'],
      figures: [],
      rows: edition.openQuestions.map((question) => [question]),
    },
  ]
  return tables.filter((table) => table.rows.length > 0)
}

function amountOrDash(value: number | undefined, amount: (value: number) => string): string {
  return value === undefined ? '—' : amount(value)
}

/** An edition as Markdown. */
export function editionMarkdown(edition: EditionContent): string {
  const row = (cells: readonly string[]) => `| ${cells.map(markdownText).join(' | ')} |`
  return [
    `# ${markdownText(edition.name)}`,
    '',
    `Frozen on ${edition.frozenOn}${edition.region === '' ? '' : `, ${markdownText(edition.region)}`}, in ${edition.currency}.`,
    '',
    ...[edition.purpose, edition.saleText]
      .filter((text) => text !== '')
      .flatMap((text) => [markdownText(text), '']),
    ...edition.weighing.verdicts.flatMap((verdict) => [`> ${markdownText(verdict)}`, '']),
    ...editionTables(edition).flatMap((table) => [
      `## ${markdownText(table.title)}`,
      '',
      row(table.head),
      `| ${table.head.map((_, index) => (table.figures.includes(index) ? '---:' : '---')).join(' | ')} |`,
      ...table.rows.map(row),
      '',
    ]),
  ].join('\n')
}

/** An edition as one page that stands alone: no scripts, nothing to load; prints on two pages. */
export function editionHtml(edition: EditionContent): string {
  const cells = (tag: 'th' | 'td', row: readonly string[], figures: readonly number[]) =>
    row
      .map(
        (cell, index) => `<${tag}${figures.includes(index) ? ' class="f"' : ''}>${escapeHtml(cell)}</${tag}>`,
      )
      .join('')
  const table = ({ title, head, figures, rows }: EditionTable) =>
    `<section><h2>${escapeHtml(title)}</h2><table><thead><tr>${cells('th', head, figures)}</tr></thead><tbody>${rows.map((row) => `<tr>${cells('td', row, figures)}</tr>`).join('')}</tbody></table></section>`
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'"><title>${escapeHtml(edition.name)}, ${edition.frozenOn}</title>
<style>
body{font:14px/1.45 "Instrument Sans",system-ui,sans-serif;color:#1d2a2b;background:#f5f1e8;margin:0 auto;max-width:960px;padding:24px}
h1{font-size:22px;margin:0}h2{font-size:14px;margin:20px 0 4px}p{margin:6px 0}
blockquote{margin:10px 0;padding:4px 0 4px 14px;border-left:4px solid #1f5c4c;font-size:15px}
table{border-collapse:collapse;width:100%;background:#fdfbf6;border:1px solid #d9d2c3}th,td{text-align:left;padding:3px 7px;border-bottom:1px solid #d9d2c3;vertical-align:top}th{font-weight:500;color:#55605c;font-size:12px}
.f{text-align:right;font-family:"Spline Sans Mono",ui-monospace,monospace;font-variant-numeric:tabular-nums;white-space:nowrap}.soft{color:#55605c}
@media print{@page{size:A4;margin:12mm}body{background:none;padding:0;font-size:10.5px;max-width:none}h2{margin:10px 0 2px}section{break-inside:avoid}th,td{padding:1.5px 5px}}
</style></head><body>
<h1>${escapeHtml(edition.name)}</h1><p class="soft">Frozen on ${edition.frozenOn}${edition.region === '' ? '' : `, ${escapeHtml(edition.region)}`}, in ${escapeHtml(edition.currency)}</p>
${[edition.purpose, edition.saleText]
  .filter((text) => text !== '')
  .map((text) => `<p>${escapeHtml(text)}</p>`)
  .join('\n')}
${edition.weighing.verdicts.map((verdict) => `<blockquote>${escapeHtml(verdict)}</blockquote>`).join('\n')}
${editionTables(edition).map(table).join('\n')}
</body></html>
`
}

function escapeHtml(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')
}

import { partLabel } from '../../parts/part'
import { toDecimal } from '../../money/decimal'
import { csvTable } from '../export/csvCell'
import type { EditionContent } from './edition'
import { editionTables, soldWith, type EditionReader, type EditionTable } from './readers'
import { markdownText } from '../export/markdownText'

/** An edition as a CSV of its lines, for a reader; a buyer's has no money in it. */
export function editionCsv(edition: EditionContent, reader: EditionReader = 'adviser'): string {
  if (reader === 'buyer') {
    const [{ head, rows } = { head: [], rows: [] }] = editionTables(edition, reader)
    return csvTable(
      [...head],
      rows.map((row) => [...row]),
    )
  }
  return reader === 'repeater' ? repeaterCsv(edition) : adviserCsv(edition)
}

const decimalIn = (currency: string) => (amount: number | null) =>
  amount === null ? null : toDecimal(amount, currency)

function repeaterCsv(edition: EditionContent): string {
  const decimal = decimalIn(edition.currency)
  return csvTable(
    [
      'make',
      'name',
      'role',
      'condition',
      'patient',
      'typical',
      'quick',
      'sales',
      'first sale',
      'last sale',
      'sale type',
      'words',
      'my price',
      'market price',
      'currency',
      'from',
      'link',
    ],
    edition.lines.flatMap((line) =>
      line.parts.map(({ make, name, role, street }) => [
        make,
        name,
        role,
        line.condition ?? null,
        ...(['patient', 'typical', 'hurried'] as const).map((mark) => decimal(street?.[mark] ?? null)),
        street?.count ?? null,
        street?.from ?? null,
        street?.to ?? null,
        street?.manners.join(' ') ?? null,
        street?.words.join(' ') ?? null,
        line.parts.length === 1 ? decimal(line.payNow) : null,
        line.parts.length === 1 ? decimal(line.anyoneCanPay) : null,
        edition.currency,
        line.source,
        line.link ?? null,
      ]),
    ),
  )
}

function adviserCsv(edition: EditionContent): string {
  const decimal = decimalIn(edition.currency)
  return csvTable(
    ['part', 'roles', 'scope', 'kind', 'source', 'paid', 'total', 'market price', 'currency', 'reason'],
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

/** An edition as JSON, for a reader. A buyer's holds what is in the machine and how fast it is, and nothing else. */
export function editionJson(edition: EditionContent, reader: EditionReader = 'adviser'): string {
  const { name, saleText, currency, frozenOn, lines, targets } = edition
  const told =
    reader !== 'buyer'
      ? { ...edition, reader }
      : {
          format: edition.format,
          version: edition.version,
          reader,
          name,
          saleText,
          currency,
          frozenOn,
          lines: soldWith(lines).map((line) => ({
            label: line.parts.map(partLabel).join(' + ') || line.label,
            parts: line.parts.map(({ id, make, name: part, role }) => ({ id, make, name: part, role })),
            condition: line.condition ?? null,
            state: line.state ?? null,
          })),
          targets: targets.map(({ name: target, averageFps, lowFps, isMeasured }) => ({
            name: target,
            averageFps,
            lowFps,
            isMeasured,
          })),
        }
  return JSON.stringify(told, null, 2)
}

/** Words above the tables. A builder's purpose may say what is to be earned: a buyer reads the text for buyers alone. */
const wordsFor = ({ purpose, saleText }: EditionContent, reader: EditionReader) =>
  (reader === 'buyer' ? [saleText] : reader === 'repeater' ? [purpose] : [purpose, saleText]).filter(
    (text) => text !== '',
  )

/** When and in what it was frozen; a buyer is told of neither region nor money. */
const headOf = ({ frozenOn, region, currency }: EditionContent, reader: EditionReader) =>
  reader === 'buyer'
    ? `As of ${frozenOn}`
    : `Frozen on ${frozenOn}${region === '' ? '' : `, ${region}`}, in ${currency}`

/** Verdicts speak of what it cost. */
const verdictsFor = ({ weighing }: EditionContent, reader: EditionReader) =>
  reader === 'buyer' ? [] : weighing.verdicts

/** An edition as Markdown. */
export function editionMarkdown(edition: EditionContent, reader: EditionReader = 'adviser'): string {
  const row = (cells: readonly string[]) => `| ${cells.map(markdownText).join(' | ')} |`
  return [
    `# ${markdownText(edition.name)}`,
    '',
    `${markdownText(headOf(edition, reader))}.`,
    '',
    ...wordsFor(edition, reader).flatMap((text) => [markdownText(text), '']),
    ...verdictsFor(edition, reader).flatMap((verdict) => [`> ${markdownText(verdict)}`, '']),
    ...editionTables(edition, reader).flatMap((table) => [
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
export function editionHtml(edition: EditionContent, reader: EditionReader = 'adviser'): string {
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
<h1>${escapeHtml(edition.name)}</h1><p class="soft">${escapeHtml(headOf(edition, reader))}</p>
${wordsFor(edition, reader)
  .map((text) => `<p>${escapeHtml(text)}</p>`)
  .join('\n')}
${verdictsFor(edition, reader)
  .map((verdict) => `<blockquote>${escapeHtml(verdict)}</blockquote>`)
  .join('\n')}
${editionTables(edition, reader).map(table).join('\n')}
</body></html>
`
}

function escapeHtml(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')
}

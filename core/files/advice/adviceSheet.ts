import { partLabel } from '../../parts/part'
import { formatAmount } from '../../money/formatAmount'
import type { EditionContent, EditionLine } from '../editions/edition'

/** Words of the sheet that both sides go by. */
export const adviceWords = {
  title: 'Advice on',
  from: 'From',
  remark: 'remark',
  instead: 'instead',
  all: 'Overall',
} as const

/**
 * A sheet for an adviser to fill in with any editor and send back whole: each line of the edition with room for a remark
 * and for what to take instead. Plain text, so that it survives every mail program.
 */
export function adviceSheet({ name, frozenOn, currency, lines }: EditionContent): string {
  const money = (amount: number | null) =>
    amount === null ? 'price not known' : `${formatAmount(amount, currency)} ${currency}`
  const block = (head: string) => [head, `   ${adviceWords.remark}:`, `   ${adviceWords.instead}:`, '']
  return [
    `${adviceWords.title} ${name}, as of ${frozenOn}`,
    `${adviceWords.from}:`,
    '',
    'Write after the colons, on as many lines as you like. Leave the rest empty.',
    'Then send back the whole text.',
    '',
    ...lines.flatMap((line, at) => block(`${at + 1}. ${lineName(line)} (${money(line.payNow)})`)),
    adviceWords.all,
    `   ${adviceWords.remark}:`,
    '',
  ].join('\n')
}

/** How a line is called on the sheet, and found again when it comes back. */
export const lineName = ({ label, parts }: Pick<EditionLine, 'label' | 'parts'>): string =>
  parts.length === 0 ? label : parts.map(partLabel).join(' + ')

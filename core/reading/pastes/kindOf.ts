import type { Part } from '../../parts/part'
import type { CalendarDate } from '../../time/calendarDate'
import { marksOf, findAmounts } from '../amounts/findAmounts'
import { readScores, type ScoresRead } from '../scores/readScores'
import { readSales, type SalesRead } from '../sales/readSales'
import { readSpec, type SpecRead } from '../specs/readSpec'

export const pasteKinds = ['sales', 'listing', 'spec', 'scores', 'file', 'nothing'] as const
/** Past sales · one listing · specifications · a table of scores · a JSON file of ours · nothing that is known. */
export type PasteKind = (typeof pasteKinds)[number]

export const pasteKindNames: Readonly<Record<PasteKind, string>> = {
  sales: 'past sales',
  listing: 'a listing',
  spec: 'a specification',
  scores: 'a table of scores',
  file: 'a file of Tarvin',
  nothing: 'nothing that is known',
}

/** What a paste is read as before anything is kept. */
export interface PasteGuess {
  readonly kind: PasteKind
  readonly sales: SalesRead
  readonly specs: readonly SpecRead[]
  readonly scores: ScoresRead
  /** What was seen in it, and what to do: where it is nothing that is known. */
  readonly why: string
}

/**
 * What a text is taken for: sales where records have a price and a day, a specification where lines name facts, a
 * listing where something is offered at a price. The guess can be changed; each kind is read by its own reader.
 */
export function guessPaste(
  text: string,
  context: { readonly today: CalendarDate; readonly currency: string; readonly library?: readonly Part[] },
): PasteGuess {
  const sales = readSales(text, context)
  const specs = specsIn(text)
  const scores = readScores(text)
  const guess = (kind: PasteKind, why = ''): PasteGuess => ({ kind, sales, specs, scores, why })
  const plain = text.trim()
  if (plain === '')
    return guess('nothing', 'the paste is empty: copy a page of results, a listing or a specification first')
  if (/^[[{]/.test(plain) && plain.includes('"format"')) return guess('file')
  const dated = sales.records.filter((record) => record.soldOn !== null && record.price !== null).length
  const stated = specs.reduce((most, spec) => Math.max(most, Object.keys(spec.facts).length), 0)
  const hasDate = sales.problems.some(({ code }) => code === 'ambiguous') || dated > 0
  if (dated >= 1 && (sales.records.length > 1 || stated < 4)) return guess('sales')
  if (sales.kind === 'table' && sales.records.length > 0 && hasDate) return guess('sales')
  if (looksLikeScores(plain, scores, context.currency)) return guess('scores')
  if (stated >= 3) return guess('spec')
  if (findAmounts(plain.slice(0, 20_000), context.currency, marksOf(plain)).some((amount) => !amount.isBare))
    return guess('listing')
  if (specs.some(({ role }) => role !== null) && plain.length < 4000) return guess('spec')
  if (sales.records.length > 1) return guess('sales')
  return guess(
    'nothing',
    `${plain.split('\n').length} lines without a price, a day of sale or a fact of a part: copy the whole block, from its title to its price`,
  )
}

/** A name and a figure in nearly every line, without a price anywhere: a table of scores. */
function looksLikeScores(text: string, { rows, notRead }: ScoresRead, currency: string): boolean {
  // a heading that says so makes a table of one row
  const isNamed = /\b(scores?|points|index|fps|benchmark|results?|punkte|poang|puntos)\b/i.test(
    text.split('\n')[0]!,
  )
  if (isNamed ? rows.length < notRead.length : rows.length < 3 || notRead.length > rows.length / 2)
    return false
  if (rows.length === 0) return false
  if (rows.some(({ name }) => name.endsWith(':'))) return false
  return !findAmounts(text.slice(0, 20_000), currency, marksOf(text)).some((amount) => !amount.isBare)
}

/** Specifications parted by empty lines, each with a heading of its own; one where they do not part. */
export function specsIn(text: string): SpecRead[] {
  const blocks = text.split(/\n\s*\n/).filter((block) => block.trim() !== '')
  const each = blocks.map((block) => readSpec(block))
  const isParted =
    blocks.length > 1 && each.every(({ role, facts }) => role !== null && Object.keys(facts).length > 0)
  return isParted ? each : [readSpec(text)]
}

import { defaultRebateChance } from '../../supply/landed/rebates'
import type { Condition, Manner } from '../../reading/sales/soldRecord'
import { toDecimal } from '../../money/decimal'
import { proposeColumns, type HeaderWords, type LineProblem } from '../../reading/tables/columns'
import { readCsv } from '../../reading/tables/readCsv'
import { readRows, type ReadRow } from '../../reading/tables/readRows'
import { FieldError, readCurrency, readDate, readPrice, readWord } from '../../reading/tables/readFields'

type LeadField =
  | 'id'
  | 'source'
  | 'title'
  | 'url'
  | 'price'
  | 'shipping'
  | 'currency'
  | 'condition'
  | 'manner'
  | 'listedOn'
  | 'endsOn'
  | 'place'
  | 'parts'
  | 'note'
  | 'code'
  | 'rebate'

const headerWords: HeaderWords<LeadField> = {
  id: ['id', 'ref', 'reference'],
  source: ['source', 'site', 'market'],
  title: ['title', 'name', 'item'],
  url: ['url', 'link', 'page'],
  price: ['price', 'ask', 'asking'],
  shipping: ['shipping', 'delivery', 'postage'],
  currency: ['currency', 'cur'],
  condition: ['condition', 'state'],
  manner: ['manner', 'type', 'format'],
  listedOn: ['listed on', 'listed', 'date'],
  endsOn: ['ends on', 'ends', 'end'],
  place: ['place', 'where', 'town'],
  parts: ['parts', 'part', 'things'],
  note: ['note', 'notes'],
  code: ['code', 'coupon'],
  rebate: ['rebate'],
}

const mannerSpellings: Readonly<Record<Manner, readonly string[]>> = {
  auction: ['bid'],
  fixed: ['fixed price', 'shop'],
  local: ['pickup', 'classified'],
}
const conditionSpellings: Readonly<Record<Condition, readonly string[]>> = {
  new: ['sealed'],
  opened: ['open box'],
  refurbished: ['refurb'],
  used: ['good'],
  damaged: ['untested', 'for parts'],
}

/** A lead as a file states it; the schema of leads checks the rest. */
export type ImportedLead = Readonly<Record<string, unknown>> & { readonly title: string }

/**
 * Reads a CSV of leads. `parts` names library parts by id, divided by `;`, each with `*count` and `:plan` where
 * needed (`tarn-640-8:keep;stook-31*2:resell`); `code` is `WORD percent 10 min 100.00 until 2026-11-30`, `rebate` is
 * `mail-in 15.00 by 2026-11-30`. What cannot be understood is reported by line.
 */
export function readLeads(
  text: string,
  defaults: { readonly currency: string; readonly today: string },
): { readonly read: ReadRow<ImportedLead>[]; readonly problems: LineProblem[] } {
  const { header, rows } = readCsv(text)
  const map = proposeColumns(header, headerWords)
  return readRows(rows, (row) =>
    readLead((field) => (map[field] === null ? '' : (row[map[field]] ?? '').trim()), defaults),
  )
}

function readLead(cell: (field: LeadField) => string, defaults: { currency: string; today: string }) {
  const currency = readCurrency(cell('currency'), defaults.currency)
  const title = cell('title')
  if (title === '') throw new FieldError('title', 'no title')
  const price = readPrice(cell('price'), currency)
  if (price < 0) throw new FieldError('price', 'a price must not be negative')
  const listedOn = cell('listedOn') === '' ? defaults.today : readDate(cell('listedOn'))
  return {
    sourceId: cell('source'),
    externalId: cell('id'),
    title,
    url: cell('url'),
    price: toDecimal(price, currency),
    currency,
    condition:
      cell('condition') === '' ? 'used' : readWord(cell('condition'), conditionSpellings, 'condition'),
    manner: cell('manner') === '' ? 'fixed' : readWord(cell('manner'), mannerSpellings, 'manner'),
    listedOn,
    endsOn: cell('endsOn') === '' ? null : readDate(cell('endsOn')),
    shipping: cell('shipping') === '' ? null : toDecimal(readPrice(cell('shipping'), currency), currency),
    place: cell('place'),
    note: cell('note'),
    things: readThings(cell('parts')),
    code: readCode(cell('code')),
    rebate: readRebate(cell('rebate')),
  }
}

function readThings(cell: string) {
  return cell
    .split(';')
    .map((each) => each.trim())
    .filter((each) => each !== '')
    .map((each) => {
      const match = /^([^*:\s]+)(?:\*(\d+))?(?::(keep|resell|discard))?$/.exec(each)
      if (!match)
        throw new FieldError(
          'parts',
          `"${each.slice(0, 40)}" is not a part; write its id, such as tarn-640-8 or tarn-640-8*2:resell`,
        )
      return { partId: match[1]!, quantity: Number(match[2] ?? 1), plan: match[3] ?? 'keep' }
    })
}

function readCode(cell: string) {
  if (cell === '') return null
  const match =
    /^(\S+) (percent|fixed) (\d+(?:\.\d+)?)(?: min (\d+(?:\.\d+)?))?(?: until (\d{4}-\d{2}-\d{2}))?$/.exec(
      cell,
    )
  if (!match)
    throw new FieldError(
      'code',
      `"${cell.slice(0, 60)}" is not a code; write WORD percent 10 min 100.00 until 2026-11-30`,
    )
  return {
    word: match[1]!,
    kind: match[2]!,
    value: match[3]!,
    minSpend: match[4] ?? null,
    validUntil: match[5] ?? null,
  }
}

function readRebate(cell: string) {
  if (cell === '') return null
  const match = /^(mail-in|online|trade-in) (\d+(?:\.\d+)?) by (\d{4}-\d{2}-\d{2})$/.exec(cell)
  if (!match)
    throw new FieldError(
      'rebate',
      `"${cell.slice(0, 60)}" is not a rebate; write mail-in 15.00 by 2026-11-30`,
    )
  return {
    kind: match[1]!,
    amount: match[2]!,
    claimBy: match[3]!,
    state: 'to-claim',
    chance: defaultRebateChance,
  }
}

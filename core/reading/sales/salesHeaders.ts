import { isCurrency } from '../../money/currencies'
import type { Currency } from '../../money/money'
import { phrases } from '../../text/phrases'
import { plainText, wordsOf } from '../../text/plainText'
import { wordsApart } from '../../text/wordsApart'
import { findAmounts, marksOf } from '../amounts/findAmounts'
import type { SalesContext } from './saleRead'

const fields = [
  'title',
  'price',
  'shipping',
  'currency',
  'soldOn',
  'manner',
  'condition',
  'quantity',
  'bids',
] as const
/** What a column of past sales can hold. */
export type Field = (typeof fields)[number]

/** Words of a header, in five languages, of a paste as of a file; whole cells first, then words in them. */
export const salesHeaders: Readonly<Record<Field, readonly string[]>> = {
  title: phrases(`
    title, name, item, description, listing, item title, product, article, part, parts, thing,
    model, teil, piece, pieza, komponent, titel, artikel, bezeichnung, titre, objet, titulo,
    articulo, rubrik, benamning, annonce, what
  `),
  price: phrases(`
    price, sold price, sold for, final price, amount, sale price, hammer price, total price, price paid,
    preis, verkaufspreis, endpreis, prix, prix de vente, precio, precio final, pris, slutpris, paid,
    winning bid, cost, betrag, sum, sold at, asking, ask, asking price, begart pris,
    how much
  `),
  shipping: phrases(`
    shipping, ship, p p, post, postage, delivery, shipping cost, shipped, freight, versand, versandkosten, porto, livraison, port,
    frais de port, envio, gastos de envio, frakt, p p
  `),
  currency: ['currency', 'cur', 'ccy', 'wahrung', 'devise', 'moneda', 'divisa', 'valuta'],
  soldOn: phrases(`
    sold on, sold, date, date sold, sold date, ended, end date, sale date, day, when, datum, verkauft am,
    verkaufsdatum, vendu le, date de vente, fecha, vendido el, fecha de venta, sald, salt, sald den,
    end time, closed, verkauft, vendu, vendido, solgt, avslutad, beendet, ende, sold at
  `),
  manner: phrases(`
    manner, manner of sale, satt, forsaljningssatt, salj satt, kind of sale, type, format,
    sale type, art, verkaufsart, type de vente, tipo, formato, typ, kind, listing type, how, sale
  `),
  condition: phrases(`
    condition, cond, state, quality, item condition, zustand, etat, estado, skick, grade
  `),
  quantity: phrases(`
    quantity, qty, count, pieces, units, menge, anzahl, stuck, quantite, cantidad, antal, number sold, pcs
  `),
  bids: phrases('bids, bid count, number of bids, gebote, encheres, pujas, bud'),
}

/** The words of a cell, plain. */
export function wordsIn(cell: string): string {
  return wordsOf(plainText(cell))
    .map(({ word }) => word)
    .join(' ')
}

/** The columns whose headers say what they hold. */
export function byHeader(header: readonly string[]): Map<Field, number> {
  const cells = header.map((cell) => wordsIn(wordsApart(cell)))
  const found = new Map<Field, number>()
  const taken = new Set<number>()
  for (const fits of [isWord, hasWord])
    for (const field of fields) {
      if (found.has(field)) continue
      const at = salesHeaders[field]
        .map((word) =>
          cells.findIndex(
            (cell, index) =>
              !taken.has(index) && cell.length < 40 && fits(cell, word) && !isOther(field, cell),
          ),
        )
        .find((index) => index >= 0)
      if (at === undefined) continue
      found.set(field, at)
      taken.add(at)
    }
  return found
}

const isWord = (cell: string, word: string) => cell === word
const hasWord = (cell: string, word: string) => !/\d/.test(cell) && ` ${cell} `.includes(` ${word} `)

/** `shipping price` is no price. */
const isOther = (field: Field, cell: string) =>
  field === 'price' && salesHeaders.shipping.some((word) => hasWord(cell, word))

/** The columns that were said to hold something. */
export function columnsGiven(
  header: readonly string[],
  columns: NonNullable<SalesContext['columns']>,
): Map<Field, number> {
  const found = new Map<Field, number>()
  for (const field of fields) {
    const given = columns[field]
    if (given === undefined) continue
    const at =
      typeof given === 'number' ? given : header.findIndex((cell) => wordsIn(cell) === wordsIn(given))
    if (at >= 0) found.set(field, at)
  }
  return found
}

/**
 * The currency that the header of a column of amounts names by its code or sign.
 *
 * @example currencyOfHeader('price_usd', 'CAD') // 'USD'
 * @example currencyOfHeader('Preis (€)', 'CAD') // 'EUR'
 */
export function currencyOfHeader(cell: string, home: Currency): Currency | null {
  const code = /(?:^|[_([\s,/])([a-z]{3})[)\]]?$/i.exec(cell.trim())?.[1]?.toUpperCase()
  if (code !== undefined && isCurrency(code)) return code
  const sign = /[^\p{L}\p{N}\s()[\]_.,:/-]+/u.exec(cell)?.[0]
  return sign === undefined ? null : (findAmounts(`${sign}1`, home, marksOf(''))[0]?.currency ?? null)
}

import { plainText } from '../../text/plainText'
import type { CalendarDate } from '../../time/calendarDate'
import { findDate } from '../dates/findDate'
import { amountsOf } from './listingMoney'
import { modelNumbers } from './modelNumbers'
import type { OfferContext, OfferRead } from './offer'
import { isOneOf, priceOf, shippingOf } from './offerMoney'
import { piecesOf } from './offeredPieces'
import { thingsIn } from './offeredThings'
import { conditionOf, defectsOf, worksOf, worksOfThing } from './saidState'

/**
 * Reads the text of a listing: per thing what it is, how many, at what price and whether it works; of the whole the
 * price, the shipping, the state, what comes along and what is missing. Nothing is guessed: what the text does not say
 * is null.
 *
 * @example readOffer('Quill 70 8GB, works, $95', context) // { price: '95.00', priceCurrency: 'CAD', works: 'yes' }
 */
export function readOffer(text: string, context: OfferContext): OfferRead {
  const said = amountsOf(text, context.currency, modelNumbers(context.library))
  const found = thingsIn(text, said, context)
  const isChoice = found.length > 1 && isOneOf(text, found)
  const money = priceOf(text, said, found, isChoice, context.currency)
  const works = worksOf(text)
  const shipping = shippingOf(text, said, money.currency ?? context.currency)
  const pieces = piecesOf(text, found)
  const date = listedOn(text, context.today)
  const km = /(\d{1,4}(?:[.,]\d)?)\s?km\b/.exec(plainText(text))
  return {
    price: money.price,
    priceCurrency: money.price === null && !isChoice ? null : money.currency,
    shipping,
    condition: conditionOf(text, works),
    listedOn: date,
    place: placeOf(text),
    distanceKm: km ? Number(km[1]!.replace(',', '.')) : null,
    things: found.map((thing) => ({
      partId: thing.partId,
      role: thing.role,
      words: thing.words,
      quantity: thing.quantity,
      price: money.perThing.get(thing) ?? null,
      works: worksOfThing(text, thing, found) ?? works,
      facts: thing.facts,
    })),
    works,
    includes: pieces.includes,
    lacks: pieces.lacks,
    defects: defectsOf(text),
  }
}

function listedOn(text: string, today: CalendarDate): CalendarDate | null {
  for (const line of text.split(/[\n.]/)) {
    if (
      !/\b(listed|posted|eingestellt|publie|inlagd|publicado|ago|vor \d|il y a|hace|sedan)\b/i.test(
        plainText(line),
      )
    )
      continue
    // `bought it two years ago`
    if (/\b(bought|purchased|got it|built|gekauft|achetee?|comprad[oa]|kopt)\b/.test(plainText(line)))
      continue
    const date = findDate(line, { today })
    if (date?.date) return date.date
  }
  return null
}

const placeBefore =
  /\b(?:pick ?up in|pickup (?:only )?in|located in|collected from|collect(?:ion)? (?:in|from)|hamtas i|abholung in|in der nahe von|a retirer a|recogida en|away,|from)\s+([A-ZÅÄÖÉ][\p{L}-]+(?: [A-Z][\p{L}-]+)?)/u
/** A place that is said, or a line that is nothing but a name. */
function placeOf(text: string): string | null {
  const said = placeBefore.exec(text)
  if (said) return said[1]!
  const lines = text.split('\n').map((line) => line.trim())
  return lines.slice(1).find((line) => /^[A-Z][\p{L}-]{3,20}$/u.test(line)) ?? null
}

import type { PageOffer } from '#core/reading/listings/jsonLdOffers'
import type { OfferRead } from '#core/reading/listings/offer'
import { defaultRebateChance } from '#core/supply/landed/rebates'
import type { LeadInput } from '#shared/leads/schemas'
import type { LibraryView } from '#shared/parts/views'

/** A lead in which nothing is said yet. */
export function blankLead(today: string, currency: string): LeadInput {
  return {
    sourceId: '',
    externalId: '',
    title: '',
    url: '',
    price: '',
    currency,
    condition: 'used',
    manner: 'fixed',
    listedOn: today,
    endsOn: null,
    shipping: null,
    place: '',
    note: '',
    things: [],
    code: null,
    rebate: null,
    rebates: [],
    tillCredit: null,
    text: '',
    answers: {},
    signs: {},
    extras: [],
  }
}

export function blankCode(): NonNullable<LeadInput['code']> {
  return {
    word: '',
    kind: 'percent',
    value: '10',
    minSpend: null,
    validFrom: null,
    validUntil: null,
    onlyThis: false,
    once: false,
    cap: null,
    stackable: true,
    role: null,
  }
}

export function blankRebate(today: string): LeadInput['rebates'][number] {
  return {
    kind: 'mail-in',
    amount: '',
    claimBy: today,
    state: 'to-claim',
    chance: defaultRebateChance,
    proof: '',
    expectedBy: null,
    campaign: '',
    perHousehold: null,
    tradedPartId: null,
  }
}

/** The source of a page has markup or JSON; anything else is read as the text of a listing. */
export function isPageSource(pasted: string): boolean {
  return /<\w|^\s*[[{]/.test(pasted)
}

/** What the text of a listing says fills the form; what it leaves open stays as it is. */
export function fromListing(read: OfferRead, text: string): Partial<LeadInput> {
  const [title = ''] = text.split('\n').filter((line) => line.trim() !== '')
  return {
    title: title.trim().slice(0, 200),
    text: text.slice(0, 8000),
    ...(read.condition === null ? {} : { condition: read.condition }),
    ...(read.price === null ? {} : { price: read.price }),
    ...(read.priceCurrency === null ? {} : { currency: read.priceCurrency }),
    ...(read.shipping === null ? {} : { shipping: read.shipping }),
    things: read.things.flatMap(({ partId, quantity }) =>
      partId === null ? [] : [{ partId, quantity, plan: 'keep' as const }],
    ),
  }
}

const mannerOfKind: Readonly<Record<string, LeadInput['manner']>> = {
  auction: 'auction',
  classifieds: 'local',
}

/** What a page offers, in the fields of the form; its source is told by the seller's name or the address. */
export function fromOffer(
  offer: PageOffer,
  sources: LibraryView['sources'],
  currency: string,
): Partial<LeadInput> {
  const seller = offer.seller?.toLowerCase()
  const source = sources.find(
    (each) =>
      each.name.toLowerCase() === seller ||
      (offer.url?.toLowerCase().includes(each.id.toLowerCase()) ?? false),
  )
  return {
    title: offer.title,
    price: offer.price ?? '',
    currency: offer.currency ?? currency,
    condition: offer.condition ?? 'used',
    url: offer.url && /^https?:/.test(offer.url) ? offer.url : '',
    externalId: offer.id ?? '',
    ...(source ? { sourceId: source.id, manner: mannerOfKind[source.kind] ?? 'fixed' } : {}),
  }
}

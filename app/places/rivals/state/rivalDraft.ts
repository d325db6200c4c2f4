import type { RivalPage } from '#core/files/import/rivalPage'
import type { RivalInput } from '#shared/rivals/schemas'
import { rivalSchema } from '#shared/rivals/schemas'

export const rivalKindNames = {
  prebuilt: 'prebuilt',
  console: 'console',
  configured: 'configured by a shop',
  offered: 'used, from a private seller',
  own: 'your older PC',
} as const

/** A rival of which nothing is said yet. */
export function blankRival(currency: string): RivalInput {
  return {
    parts: { ...rivalSchema.getDefault().parts },
    kind: 'prebuilt',
    name: '',
    price: '',
    currency,
    taxPercent: 0,
    shipping: '0',
    shippingStated: false,
    brings: [],
    cpuId: null,
    graphicsId: null,
    notStated: [],
    url: '',
    note: '',
    rates: [],
    equivalents: [],
    extras: [],
    warrantyMonths: null,
    fullW: null,
    idleW: null,
    subscriptionPerYear: '0',
    gameSurcharge: '0',
    resaleToday: null,
  }
}

/** What a page says takes its place in the draft; what it leaves open stays as it is. */
export function takePage(draft: RivalInput, { offer, parts, warrantyMonths }: RivalPage): RivalInput {
  const { cpuId, graphicsId, ...rest } = parts
  const said = Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== null))
  return {
    ...draft,
    name: offer.title,
    price: offer.price ?? draft.price,
    currency: offer.currency ?? draft.currency,
    url: offer.url ?? draft.url,
    cpuId: cpuId ?? draft.cpuId,
    graphicsId: graphicsId ?? draft.graphicsId,
    shipping: offer.shipping ?? draft.shipping,
    shippingStated: offer.shipping !== null || draft.shippingStated,
    warrantyMonths: warrantyMonths ?? draft.warrantyMonths,
    parts: { ...draft.parts, ...said },
  }
}

import type { RivalPage } from '#core/files/import/rivalPage'
import type { RivalInput } from '#shared/rivals/schemas'
import { rivalSchema } from '#shared/rivals/schemas'

/** A rival being written: as the route takes it, with text where the form needs text. */
export type RivalDraft = RivalInput

export function blankRival(): RivalDraft {
  return {
    parts: { ...rivalSchema.getDefault().parts },
    kind: 'prebuilt',
    name: '',
    price: '',
    currency: 'CAD',
    taxPercent: 13,
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
export function takePage(draft: RivalDraft, { offer, parts, warrantyMonths }: RivalPage): RivalDraft {
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

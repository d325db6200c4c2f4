import { readPage } from './pageSource'
import { CoreError } from '../../errors/coreError'
import type { Condition } from '../sales/soldRecord'

/** An offer found in the source of a page, as far as the page states it. Nothing is guessed. */
export interface PageOffer {
  readonly title: string
  /** Decimal text as the page writes it; null where it states none. */
  readonly price: string | null
  readonly currency: string | null
  readonly condition: Condition | null
  readonly url: string | null
  readonly seller: string | null
  readonly id: string | null
  readonly validUntil: string | null
  /** Delivery, decimal text in the offer's currency; null where the page states none. */
  readonly shipping: string | null
  /** Town the thing stands in. */
  readonly place: string | null
  /** False where the page says that it is sold or no longer offered. */
  readonly available: boolean
}

/** A node of JSON-LD. */
export type Node = Readonly<Record<string, unknown>>

const conditionByName: Readonly<Record<string, Condition>> = {
  newcondition: 'new',
  usedcondition: 'used',
  refurbishedcondition: 'refurbished',
  damagedcondition: 'damaged',
}

/**
 * Finds the schema.org Product and Offer nodes in the source of a page (or in bare JSON-LD).
 * A page with three products gives three offers, and the builder says which one is meant.
 *
 * @throws CoreError `no-json-ld`, `broken-json-ld`, `no-product`
 */
export function jsonLdOffers(source: string): PageOffer[] {
  const { nodes, blocks, broken } = jsonLdNodes(source)
  if (blocks === 0) throw new CoreError('no-json-ld', {})
  const products = nodes.filter((node) => hasType(node, 'Product'))
  const offers =
    products.length > 0
      ? products.map(readProduct)
      : nodes.filter((node) => hasType(node, 'Offer')).map((node) => readOffer(node, {}))
  if (offers.length > 0) return offers
  if (broken !== undefined) {
    throw new CoreError('broken-json-ld', {}, '', { cause: broken })
  }
  throw new CoreError('no-product', {})
}

/** Every node of the JSON-LD in the source of a page, or of bare JSON-LD; with how many blocks it has, and why one is broken. */
export function jsonLdNodes(source: string): {
  readonly nodes: readonly Node[]
  readonly blocks: number
  readonly broken: unknown
} {
  const blocks = [...readPage(source).jsonLd]
  if (blocks.length === 0 && /^\s*[[{]/.test(source)) blocks.push(source)
  const nodes: Node[] = []
  let broken: unknown
  for (const block of blocks) {
    try {
      collect(JSON.parse(block.trim()), nodes, 0)
    } catch (error) {
      broken = error
    }
  }
  return { nodes, blocks: blocks.length, broken }
}

function collect(value: unknown, into: Node[], depth: number): void {
  if (depth > 8 || typeof value !== 'object' || value === null) return
  if (Array.isArray(value)) {
    for (const each of value) collect(each, into, depth + 1)
    return
  }
  const node = value as Node
  into.push(node)
  for (const [key, child] of Object.entries(node))
    if (key === '@graph' || key === 'itemListElement' || key === 'item' || key === 'mainEntity')
      collect(child, into, depth + 1)
}

export function hasType(node: Node, type: string): boolean {
  const types = Array.isArray(node['@type']) ? node['@type'] : [node['@type']]
  return types.some((each) => typeof each === 'string' && each.replace(/^.*[/#]/, '') === type)
}

function readProduct(product: Node): PageOffer {
  const offers = Array.isArray(product.offers) ? product.offers : [product.offers]
  const offer = offers.find((each): each is Node => typeof each === 'object' && each !== null) ?? {}
  return readOffer(offer, product)
}

function readOffer(offer: Node, product: Node): PageOffer {
  const specification = (
    typeof offer.priceSpecification === 'object' && offer.priceSpecification !== null
      ? offer.priceSpecification
      : {}
  ) as Node
  const seller = offer.seller as Node | undefined
  const conditionText = text(offer.itemCondition) ?? text(product.itemCondition)
  return {
    title: text(product.name) ?? text(offer.name) ?? 'untitled',
    price: text(offer.price) ?? text(specification.price) ?? text(offer.lowPrice),
    currency: text(offer.priceCurrency) ?? text(specification.priceCurrency),
    condition:
      conditionText === null
        ? null
        : (conditionByName[conditionText.replace(/^.*[/#]/, '').toLowerCase()] ?? null),
    url: text(offer.url) ?? text(product.url),
    seller: seller && typeof seller === 'object' ? text(seller.name) : null,
    id: text(product.sku) ?? text(product.productID) ?? text(offer.sku) ?? text(product['@id']),
    validUntil: (text(offer.priceValidUntil) ?? text(offer.availabilityEnds))?.slice(0, 10) ?? null,
    shipping: text(within(offer, 'shippingDetails', 'shippingRate', 'value')),
    place: text(within(offer, 'availableAtOrFrom', 'address', 'addressLocality')),
    available: !goneNames.has((text(offer.availability) ?? '').replace(/^.*[/#]/, '').toLowerCase()),
  }
}

const goneNames = new Set(['soldout', 'outofstock', 'discontinued'])

/** A value some objects down; of a list its first; undefined where the way ends. */
function within(node: Node, ...path: readonly string[]): unknown {
  let value: unknown = node
  for (const step of path) {
    const here = Array.isArray(value) ? value[0] : value
    if (typeof here !== 'object' || here === null) return undefined
    value = (here as Node)[step]
  }
  return value
}

function text(value: unknown): string | null {
  if (typeof value === 'number') return String(value)
  return typeof value === 'string' && value.trim() !== '' ? value.trim().slice(0, 500) : null
}

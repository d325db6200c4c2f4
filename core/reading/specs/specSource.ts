import { hasType, jsonLdNodes, type Node } from '../listings/jsonLdOffers'
import { isPage, readPage } from '../listings/pageSource'

const isBare = /^\s*[[{][\s\S]*"@type"/

/**
 * The lines of a specification. The source of a page gives what its schema.org Product states, else what a reader
 * sees, with the cells of a row on one line; any other text is as it is.
 *
 * @example specSource('<table><tr><th>Length</th><td>241 mm</td></tr></table>') // 'Length: 241 mm'
 */
export function specSource(text: string): string {
  if (!isPage(text) && !isBare.test(text)) return text
  const product = jsonLdNodes(text).nodes.find((node) => hasType(node, 'Product'))
  const stated = product ? linesOf(product) : []
  // a name alone says less than the page around it
  if (stated.length > 2) return stated.join('\n')
  const rows = text.replace(/<\/(?:th|dt|td)>\s*<(?:td|dd)[^>]*>/gi, ': ')
  const seen = readPage(rows)
    .text.split('\n')
    .map((line) => line.replace(/\s+/g, ' ').trim())
    .filter((line) => line !== '')
  return [...stated, ...seen].join('\n')
}

function linesOf(product: Node): string[] {
  const named = [
    ['Name', product.name],
    ['Brand', nameOf(product.brand) ?? nameOf(product.manufacturer)],
    ['Category', product.category],
    ['Colour', product.color],
  ] as const
  return [
    ...named.flatMap(([key, value]) =>
      typeof value === 'string' && value !== '' ? [`${key}: ${value}`] : [],
    ),
    ...['height', 'width', 'depth'].flatMap((key) => lineOf(key, product[key])),
    ...list(product.additionalProperty).flatMap((each) =>
      typeof each === 'object' && each !== null ? lineOf(String((each as Node).name ?? ''), each) : [],
    ),
  ]
}

/** A property as a line: its value, and the unit that stands beside it. */
function lineOf(key: string, property: unknown): string[] {
  if (typeof property !== 'object' || property === null) return []
  const { value, unitText, unitCode } = property as Node
  const said = list(value).filter((each) => ['string', 'number', 'boolean'].includes(typeof each))
  if (key === '' || said.length === 0) return []
  const unit = typeof unitText === 'string' ? ` ${unitText}` : unitCode === 'MMT' ? ' mm' : ''
  return [`${key}: ${said.map(String).join(', ')}${unit}`]
}

const list = (value: unknown): readonly unknown[] =>
  value === undefined || value === null ? [] : Array.isArray(value) ? (value as unknown[]) : [value]
const nameOf = (value: unknown): unknown =>
  typeof value === 'object' && value !== null ? (value as Node).name : value

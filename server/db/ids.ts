import { randomUUID } from 'node:crypto'
import { slug } from '#shared/text/slug'

/** A new identity: readable start, random end. */
export function newId(name: string): string {
  return `${slug(name, 32)}-${randomUUID().slice(0, 8)}`
}

import { randomUUID } from 'node:crypto'

/** A new identity: readable start, random end. */
export function newId(name: string): string {
  const start = name.toLowerCase().normalize('NFKD').replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 32)
  return `${start === '' ? 'id' : start}-${randomUUID().slice(0, 8)}`
}

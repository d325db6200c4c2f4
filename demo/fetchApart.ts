import { Agent, fetch } from 'undici'
import type { Fetch } from './asking'

/** A connection for each: between two of them a plan is solved, and the server may have closed one that waited. */
const dispatcher = new Agent({ pipelining: 0 })

/** How a program asks; a page has its browser for that. */
export const fetchApart: Fetch = (url, init) =>
  fetch(url, { ...(init as Parameters<typeof fetch>[1]), dispatcher }) as ReturnType<Fetch>

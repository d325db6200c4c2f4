import { createHash } from 'node:crypto'

/** A short tag of a text that is long, by which it is known again; of a state that somebody compares it is `stateTag`. */
export const textTag = (text: string): string => createHash('sha1').update(text).digest('hex').slice(0, 16)

import { compared } from '../../parts/vocabularies'

const named = /\b(?:socket|sockel|sockeln|prise|zocalo) ?:? ?([a-z]{0,4}[ -]?\d{1,4}[a-z]?)\b/

/**
 * Whether a title, in plain letters, names a socket other than the one wanted; what it leaves out (`socket 4` for
 * `LN-4`) is not held against it.
 *
 * @example statesOtherSocket('mullion b3 micro socket ln-5', 'LN-4') // true
 */
export function statesOtherSocket(plain: string, wanted: string): boolean {
  const said = named.exec(plain)
  return said !== null && !compared(wanted).endsWith(compared(said[1]!))
}

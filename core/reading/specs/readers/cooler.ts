import type { FactReader } from '../factReader'
import { watts, length, yesNo } from '../values'

/** How the facts of coolers are read. */
export const coolerReaders: readonly FactReader[] = [
  {
    fact: 'coolerSockets',
    roles: ['cooler'],
    key: /\b(sockets?|compatib\w*|sockel|socklar|socles?|zocalos?|kompatib\w*)\b/,
    read: ({ value }) =>
      value
        .split(/[,;/]|\s{2,}| and | und | et /)
        .map((each) => each.replace(/^sockets?\s+/i, '').trim())
        .filter((each) => each !== '' && each.length < 20),
  },
  {
    fact: 'coolerW',
    roles: ['cooler'],
    key: /\b(tdp|heat|cooling (capacity|power)|rated|kuhlleistung|capacity)\b/,
    read: ({ plain }) => watts(plain),
  },
  {
    fact: 'memoryClearanceMm',
    roles: ['cooler'],
    key: /\b(memory|ram) (clearance|height)|clearance\b/,
    read: length('least'),
  },
  {
    fact: 'mountIncluded',
    roles: ['cooler'],
    key: /\b(mount(ing)? (kit|included)|bracket)\b/,
    read: (line) => yesNo(line),
  },
]

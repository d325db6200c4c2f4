import type { FactReader } from '../factReader'
import { number, length, gigabytes, count, kitIn } from '../values'

/** How the facts of memory are read. */
export const memoryReaders: readonly FactReader[] = [
  {
    fact: 'capacityGb',
    roles: ['memory'],
    key: /\b(total |kit )?(capacity|size|kapazitat|capacite|capacidad|kapacitet|memory size|total memory)\b/,
    not: /\bper\b|\bmodule (size|capacity)\b/,
    weight: 1,
    read: ({ plain }) => kitIn(plain)?.total ?? gigabytes(plain),
  },
  {
    fact: 'kitCount',
    roles: ['memory'],
    key: /\b(modules?|kit|sticks?|configuration|capacity|capacite|capacidad|kapazitat|kapacitet|anzahl|number of modules|quantity|kit type)\b/,
    not: /\btype$/,
    read: ({ plain }) => kitIn(plain)?.count ?? (/\d\s?(gb|go|pin|mhz)/.test(plain) ? null : count(plain)),
  },
  {
    fact: 'speedMts',
    roles: ['memory'],
    key: /\b(speed|frequency|clock|takt|geschwindigkeit|vitesse|frequence|velocidad|hastighet|data rate|mhz|mt\/s|type|typ|standard)\b/,
    not: /\b(spd|base|jedec default)\b/,
    // beside a generation its figure is the speed: `DDR4-2666`; on a line of the type nothing else is
    read: ({ plain, key }) =>
      number(
        /ddr\d\w?[\s-]*(\d{3,5})(?![\d-]*\s?-?pin)/.exec(plain)?.[1] ??
          (/typ|standard/.test(key) ? '' : (/(\d{3,5})/.exec(plain)?.[1] ?? '')),
      ),
  },
  {
    fact: 'module',
    roles: ['memory'],
    key: /\b(form ?factor|module type|type|format|modultyp|bauform)\b/,
    read: ({ plain }) =>
      /so-?\s?dimm|laptop|notebook/.test(plain)
        ? 'laptop'
        : /\b(l?rdimm|registered|buffered)\b/.test(plain) && !/\b(un|non-?)buffered\b/.test(plain)
          ? 'registered'
          : /u?dimm|desktop|\b288\b|\b240\b/.test(plain)
            ? 'desktop'
            : null,
  },
  {
    fact: 'heightMm',
    roles: ['memory', 'cooler'],
    key: /\b(height|hohe|hauteur|altura|hojd)\b/,
    read: length('most'),
  },
]

import type { FactReader } from '../factReader'

/** How the facts of any part are read. */
export const anyPartReaders: readonly FactReader[] = [
  {
    fact: 'colour',
    roles: [],
    key: /^(colou?r|farbe|couleur|color|farg)$/,
    read: ({ value }) => value.slice(0, 40),
  },
  {
    fact: 'year',
    roles: [],
    key: /\b(year|released?|launch\w*|release date|introduced|jahr|annee|ano|ar)\b/,
    read: ({ plain }) => {
      const year = /\b((?:19|20)\d{2})\b/.exec(plain)?.[1]
      return year ? Number(year) : null
    },
  },
]

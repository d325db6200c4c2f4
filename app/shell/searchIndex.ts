import MiniSearch from 'minisearch'

export interface Found {
  readonly id: string
  readonly label: string
  readonly kind: string
  readonly to: string
}

/** A search over labels and kinds: prefixes count, small slips of the pen are forgiven. */
export function searchIndex(entries: readonly Found[]): (text: string) => Found[] {
  const index = new MiniSearch<Found>({
    fields: ['label', 'kind'],
    storeFields: ['id'],
    searchOptions: { prefix: true, fuzzy: 0.2, combineWith: 'AND' },
  })
  const byId = new Map(entries.map((each) => [each.id, each]))
  index.addAll([...byId.values()])
  return (text) =>
    index
      .search(text)
      .slice(0, 12)
      .map((hit) => byId.get(String(hit.id))!)
}

import { demoFiles } from './files'

/** A number of a model in a text moved on, so that it is another model of the same make; sizes and speeds stay. */
function renumbered(text: string, by: number): string {
  return text.replace(/\b(\d{2,4})\b(?!\s*(?:GB|TB|W|MHz|MT|mm|kg|%|\.))/g, (digits) =>
    String(Number(digits) + by * 7),
  )
}

/**
 * The demo's market `times` as large, for measuring: the library and its sold records again and again with other model
 * numbers, so that each part has as many records as in the demo. Files as a user would have them.
 */
export function scaledFiles(times: number): {
  library: unknown
  soldRecords: string
  leads: string
  shopPrices: string
} {
  const files = demoFiles()
  const library = JSON.parse(files['library.json']!) as {
    parts: { id: string; name: string; facts: { contains?: string[] } }[]
  }
  const [head, ...records] = files['sold-records.csv']!.trim().split('\n')
  const [leadHead, ...leads] = files['leads.csv']!.trim().split('\n')
  const parts = [...library.parts]
  const allRecords = [...records]
  const allLeads = [...leads]
  for (let copy = 1; copy < times; copy += 1) {
    if (copy * library.parts.length < 1000)
      parts.push(
        ...library.parts
          .filter(({ facts }) => !facts.contains)
          .map((part) => ({ ...part, id: `${part.id}-x${copy}`, name: renumbered(part.name, copy) })),
      )
    allRecords.push(
      ...records.map((line) =>
        renumbered(
          line.replace(/^[^,]*/, (id) => `${id}x${copy}`),
          0,
        ).replace(
          /^([^,]*,[^,]*,)([^,]*)/,
          (_, start: string, title: string) => start + renumbered(title, copy % 7),
        ),
      ),
    )
    allLeads.push(...leads.map((line) => line.replace(/^[^,]*/, (id) => `${id}x${copy}`)))
  }
  return {
    library: { ...library, parts },
    soldRecords: [head, ...allRecords].join('\n'),
    leads: [leadHead, ...allLeads].join('\n'),
    shopPrices: files['shop-prices.csv']!,
  }
}

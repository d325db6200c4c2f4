import type { PasteInput } from '#shared/pastes/schemas'

const nouns = [
  ['sales', 'past sale', 'past sales'],
  ['shopPrices', 'shop price', 'shop prices'],
  ['leads', 'lead', 'leads'],
  ['parts', 'part', 'parts'],
  ['indexes', 'index', 'indexes'],
  ['hunts', 'hunt', 'hunts'],
] as const

/** What a paste saved, counted. @example 6 sales and a part of them: "6 past sales, 1 part saved" */
export function savedWords(input: Partial<PasteInput>): string {
  const counted = nouns.flatMap(([key, one, many]) => {
    const count = input[key]?.length ?? 0
    return count === 0 ? [] : [`${count} ${count === 1 ? one : many}`]
  })
  return counted.length === 0 ? 'saved' : `${counted.join(', ')} saved`
}

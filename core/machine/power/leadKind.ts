/** Kinds of lead and socket that power runs through, whatever they are called. */
export const leadKinds = ['sata', 'drive', '6-pin', '8-pin', '12+4-pin', 'cpu'] as const
export type LeadKind = (typeof leadKinds)[number]

/**
 * What one lead of a kind may carry, W (docs/formulas.md, Power and fit); the plug of 12 + 4 pins states its own
 * rating.
 */
export const leadWatts: Readonly<Record<LeadKind, number | null>> = {
  sata: 54,
  drive: 60,
  '6-pin': 75,
  '8-pin': 150,
  '12+4-pin': null,
  cpu: 300,
}

const spellings: readonly (readonly [LeadKind, RegExp])[] = [
  ['12+4-pin', /12\s*\+\s*4|12v-?2x6|12vhpwr|16[\s-]?pin/],
  ['cpu', /cpu|eps|4\s*\+\s*4|\bp4\b/],
  ['sata', /sata/],
  ['drive', /molex|drive|peripheral|\blp4\b|\b4[\s-]?pin/],
  ['8-pin', /8[\s-]?pin|6\s*\+\s*2/],
  ['6-pin', /6[\s-]?pin/],
]

/**
 * The kind of lead that a text names; null where it is none that feeds a card, a CPU or a drive.
 *
 * @example leadKind('dual SATA') // 'sata'
 */
export function leadKind(text: string | undefined): LeadKind | null {
  if (text === undefined) return null
  const plain = text.toLowerCase()
  return spellings.find(([, words]) => words.test(plain))?.[0] ?? null
}

/** How many plugs a text names (`2 x SATA`, `dual drive plug`); 1 where it names no count. */
export function plugsNamed(text: string | undefined): number {
  const plain = (text ?? '').toLowerCase()
  if (/\b(dual|two|double|twin)\b/.test(plain)) return 2
  if (/\b(triple|three)\b/.test(plain)) return 3
  const count = /(?:^|\s)([1-4])\s*[x×*]\s*(?=[a-z\d])/.exec(plain)
  return count ? Number(count[1]) : 1
}

import type { Role } from '../../parts/part'
import { plainText } from '../../text/plainText'
import type { FactKey, FactReader } from './factReader'
import { factReaders } from './factReaders'
import { factsInName } from './factsInName'
import { roleNamed, roleOf } from './roleOf'
import { specSource } from './specSource'
import { specLines, type SpecLine } from './specLine'

/** A fact as it was read, with the number of the line it came from. */
export interface SpecFact {
  readonly value: string | number | boolean | readonly string[]
  readonly line: number
}

export interface SpecRead {
  readonly role: Role | null
  /** `''` where it is not said. */
  readonly make: string
  readonly name: string
  readonly facts: Readonly<Partial<Record<FactKey, SpecFact>>>
  /** Lines that gave nothing. */
  readonly notRead: readonly string[]
}

export const makeKeys =
  /^(brand|manufacturer|make|maker|hersteller|marke|marque|fabricant|fabricante|tillverkare|marca|vendor)$/
export const nameKeys =
  /^(model|name|product|product name|model name|title|modell|bezeichnung|produkt|modele|modelo|nom|nombre|namn|benamning|artikel|item|series|model number|part)$/
/** `Processor | Dovecote 5300`: what opens a table by its kind names the part. */
const kindNames =
  /^(processor|cpu|prozessor|processeur|procesador|graphics card|gpu|grafikkarte|grafikkort|motherboard|mainboard|case|power supply|psu|cooler|ssd)$/
const roleKeys = /^(category|product type|type of product|kategorie|categorie|categoria|kategori|component)$/
const kindKeys = /^(type|kind|tipo|typ|art|role|part type|produkttyp)$/

/**
 * Reads a specification, or a bare name: lines of key and value are matched to facts with their units, and what stands
 * without a key to what a name may carry. The role decides what W and mm mean; it is guessed from the words where it is
 * not given. Of several lengths the shortest clearance and the longest part stand, of several powers the sustained one.
 *
 * @example readSpec('Anvil 650\nPower: 650 W\nEfficiency: 80+ gold') // { role: 'supply', facts: { ratedW: { value: 650 } } }
 */
export function readSpec(source: string, given: Role | null = null): SpecRead {
  const text = specSource(source)
  const lines = specLines(text)
  const role = given ?? roleSaid(lines) ?? roleOf(text)
  const facts: Partial<Record<FactKey, SpecFact & { readonly weight: number }>> = {}
  const notRead: string[] = []
  let make = ''
  let name = ''
  let named = ''
  for (const line of lines) {
    if (makeKeys.test(line.key)) make ||= line.value
    else if (nameKeys.test(line.key) || (line === lines[0] && kindNames.test(line.key))) {
      named ||= line.value
      takeName(facts, line.value, line.line, role)
    } else if (roleKeys.test(line.key)) {
      // `Category: ssd` tells more than the role
      if (role !== null) takeLine(facts, line, role)
    } else if (role !== null && takeLine(facts, line, role)) continue
    else if (name === '' && line.key === '' && line === lines[0]) {
      name = line.value
      takeName(facts, line.value, line.line, role)
    } else if (
      !takeName(facts, line.raw, line.line, role) &&
      !(role !== null && takeUnparted(facts, line, role))
    )
      notRead.push(line.raw)
  }
  return {
    role,
    make: make.slice(0, 60),
    name: (named || name || make).slice(0, 120),
    facts: Object.fromEntries(
      Object.entries(facts).map(([fact, { value, line }]) => [fact, { value, line }]),
    ) as SpecRead['facts'],
    notRead,
  }
}

/** The role by a line that says the kind: `Category: graphics card`, `Tipo: procesador`. */
function roleSaid(lines: readonly SpecLine[]): Role | null {
  for (const { key, value } of lines) {
    const role = roleKeys.test(key) || kindKeys.test(key) ? roleNamed(value) : null
    if (role !== null) return role
  }
  return null
}

type Found = Partial<Record<FactKey, SpecFact & { readonly weight: number }>>

/** Asks every reader of the role; whether one of them read something. */
function takeLine(facts: Found, line: SpecLine, role: Role): boolean {
  const readers = factReaders.filter(({ roles }) => roles.length === 0 || roles.includes(role))
  let taken = false
  for (const reader of readers) {
    const value = valueFor(reader, line)
    if (value === null) continue
    taken = true
    keep(facts, reader, value, line.line)
  }
  return taken
}

/** Words that a key has at most, and a line that is read so. */
const longestKey = 6
const longestLine = 12

/** `Form factor ATX`, `# of CPU Cores 6`: a key that nothing parts from its value but a space. */
function takeUnparted(facts: Found, line: SpecLine, role: Role): boolean {
  const words = line.raw.split(/\s+/)
  if (line.key !== '' || words.length < 2 || words.length > longestLine) return false
  for (let cut = Math.min(longestKey, words.length - 1); cut >= 1; cut -= 1) {
    const [key, value] = [plainText(words.slice(0, cut).join(' ')), words.slice(cut).join(' ')]
    const parted: SpecLine = { ...line, key, value, plain: plainText(value) }
    const isKey = factReaders.some(
      (reader) =>
        reader.roles.includes(role) &&
        reader.key !== undefined &&
        endsIn(key, reader.key) &&
        !reader.not?.test(key),
    )
    if (isKey && takeLine(facts, parted, role)) return true
  }
  return false
}

/** Whether what a pattern finds in a key stands at its end. */
function endsIn(key: string, pattern: RegExp): boolean {
  return [...key.matchAll(new RegExp(pattern.source, 'g'))].some(
    (match) => match.index + match[0].length === key.length,
  )
}

/** A line with a key is asked by its key; one without by what stands in it. */
function valueFor({ key, not, read }: FactReader, line: SpecLine): SpecFact['value'] | null {
  if (line.key === '' || !key || !key.test(line.key) || not?.test(line.key)) return null
  const value = read(line)
  return Array.isArray(value) && value.length === 0 ? null : value
}

function keep(
  facts: Found,
  { fact, keep: which, weight = 1 }: FactReader,
  value: SpecFact['value'],
  line: number,
): void {
  const known = facts[fact]
  const isBetter =
    known === undefined ||
    weight > known.weight ||
    (weight === known.weight &&
      typeof value === 'number' &&
      typeof known.value === 'number' &&
      (which === 'least' ? value < known.value : which === 'most' ? value > known.value : false))
  if (isBetter) facts[fact] = { value, line, weight }
}

/** What a line says as a name does; weaker than a line with a key. */
function takeName(facts: Found, text: string, line: number, role: Role | null): boolean {
  if (role === null) return false
  const said = { ...looseFacts(text, role), ...factsInName(text, role) }
  let taken = false
  for (const [fact, value] of Object.entries(said) as [FactKey, SpecFact['value']][]) {
    taken = true
    if (facts[fact] === undefined) facts[fact] = { value, line, weight: 0 }
  }
  return taken
}

/** Lines without a key that say what they are by their words: `2×8-pin`, `up to 320 mm`, `4 x DIMM`, `65 W`. */
function looseFacts(text: string, role: Role): Partial<Record<FactKey, SpecFact['value']>> {
  const plain = plainText(text)
  const as = (key: string): SpecLine => ({ line: 0, raw: text, key, value: text, plain })
  const keys: Readonly<Partial<Record<Role, readonly (readonly [RegExp, string])[]>>> = {
    cpu: [
      [/\bsocket\b/, 'socket'],
      [/\b\d{2,3}\s?w\b/, 'tdp'],
    ],
    motherboard: [
      [/\bdimm|memory slots?/, 'memory slots'],
      [/\bup to \d+ ?gb|max/, 'max memory'],
      [/\bm\.2\b/, 'm.2'],
      [/\bsata\b/, 'sata'],
      [/\bsocket\b/, 'socket'],
    ],
    graphics: [
      [/\d\s?-?pin/, 'power connectors'],
      [/\bhdmi|displayport|\bdvi\b|\bvga\b/, 'outputs'],
      [/\bslot\b/, 'slots'],
      [/\b\d{2,3}\s?mm\b|\bcm\b/, 'length'],
      [/\b\d{2,3}\s?w\b(?!.*(psu|supply))/, 'tdp'],
      [/\b\d{3,4}\s?w\b.*(psu|supply)|(psu|supply).*\d{3}\s?w/, 'recommended psu'],
      [/\bx(16|8|4)\b/, 'interface'],
    ],
    supply: [
      [/6\s?\+\s?2|\bpcie\b/, 'pcie connectors'],
      [/4\s?\+\s?4|\beps\b/, 'eps'],
      [/\bsata\b/, 'sata'],
      [/\b24[- ]?pin|20\s?\+\s?4/, 'main plug'],
      [/\bmm\b|\bcm\b/, 'length'],
    ],
    case: [
      [/\b(gpu|card|graphics)\b/, 'gpu clearance'],
      [/\bcooler\b/, 'cooler height'],
      [/\b(psu|power supply)\b/, 'psu'],
      [/\bradiator/, 'radiator'],
      [/\bitx|atx\b/, 'motherboard'],
      [/\bfans?\b/, 'fans'],
    ],
    cooler: [
      [/\bsocket/, 'socket'],
      [/\b\d{2,3}\s?w\b/, 'tdp'],
      [/\bheight|high|hoch|tall\b/, 'height'],
    ],
    storage: [
      [/\bnvme|sata|pcie/, 'interface'],
      [/\brpm\b/, 'rpm'],
    ],
  }
  const found: Partial<Record<FactKey, SpecFact['value']>> = {}
  for (const [sign, key] of keys[role] ?? []) {
    if (!sign.test(plain)) continue
    for (const reader of factReaders) {
      if (!reader.roles.includes(role)) continue
      const value = valueFor(reader, as(key))
      if (value !== null && found[reader.fact] === undefined) found[reader.fact] = value
    }
  }
  return found
}

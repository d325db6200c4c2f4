import { readPage } from '../../reading/listings/pageSource'
import type { TitleReader } from '../../reading/titles/partsInTitle'
import type { Part } from '../../parts/part'
import { unknownRival, type RivalParts } from '../../comparison/components/rivalFacts'
import { jsonLdOffers, type PageOffer } from '../../reading/listings/jsonLdOffers'

/** A machine read from the source of a page. */
export interface RivalPage {
  readonly offer: PageOffer
  readonly parts: RivalParts
  readonly warrantyMonths: number | null
  /** What was read for each fact, in the page's own words. */
  readonly quotes: Readonly<Record<string, string>>
}

/**
 * Reads a prebuilt from the source of a page: name, price and delivery from its schema.org data, its parts from the name,
 * the description and the text around. What is not said stays null. Two CPUs or two cards named: neither is taken.
 *
 * @throws CoreError as `jsonLdOffers` does
 */
export function rivalPage(
  source: string,
  reader: TitleReader,
  library: ReadonlyMap<string, Part>,
): RivalPage {
  const [offer] = jsonLdOffers(source) as [PageOffer]
  return { offer, ...readRivalText(textOf(source), reader, library) }
}

/** The facts of a machine in plain text: lines, list points and commas divide what belongs together. */
export function readRivalText(
  text: string,
  reader: TitleReader,
  library: ReadonlyMap<string, Part>,
): Omit<RivalPage, 'offer'> {
  const quotes: Record<string, string> = {}
  const find = <T>(key: string, words: RegExp, of: (match: RegExpExecArray) => T | null): T | null => {
    const match = words.exec(text)
    const value = match ? of(match) : null
    if (match && value !== null) quotes[key] = match[0].trim()
    return value
  }
  const size = (match: RegExpExecArray) => Number(match[1]) * (/tb/i.test(match[2] ?? '') ? 1000 : 1)
  const pieces = text
    .split(/[\n,;•|·]+|\s[-–]\s/)
    .map((piece) => piece.trim())
    .filter((piece) => piece !== '' && piece.length < 200)
  const named = (role: Part['role'], key: string) => {
    const found = new Map(
      pieces.flatMap((piece) =>
        reader
          .read(piece)
          .partIds.filter((id) => library.get(id)?.role === role)
          .map((id) => [id, piece] as const),
      ),
    )
    if (found.size !== 1) return null
    const [[id, piece]] = [...found] as [[string, string]]
    quotes[key] = piece
    return id
  }
  const storage = find(
    'storageGb',
    /(\d+(?:\.\d+)?)\s*(TB|GB)\s*(?:of\s+)?(?:M\.2\s+)?(NVMe|SATA|SSD|HDD|hard\s*dis[ck]|drive|storage)/i,
    (match) => ({ gb: size(match), kind: match[3]!.toLowerCase() }),
  )
  const kit = find('memoryModules', /\b([1248])\s*[x×]\s*(\d+)\s*GB\b/i, (match) => ({
    modules: Number(match[1]),
    gb: Number(match[1]) * Number(match[2]),
  }))
  const parts: RivalParts = {
    ...unknownRival,
    cpuId: named('cpu', 'cpuId'),
    graphicsId: named('graphics', 'graphicsId'),
    memoryGb: kit?.gb ?? find('memoryGb', /\b(\d+)\s*(GB)\s*(?:of\s+)?(?:DDR\d\b|memory\b|RAM\b)/i, size),
    memoryModules: kit?.modules ?? null,
    memoryMts: find('memoryMts', /\bDDR[345][ -]?(\d{4})\b|\b(\d{4})\s*MT\/s/i, (match) =>
      Number(match[1] ?? match[2]),
    ),
    storageGb: storage?.gb ?? null,
    storageKind:
      storage === null
        ? null
        : /nvme/i.test(storage.kind) || /nvme/i.test(quotes.storageGb ?? '')
          ? 'nvme'
          : /sata/.test(storage.kind)
            ? 'sata'
            : /hdd|hard/.test(storage.kind)
              ? 'hdd'
              : null,
    supplyW: find('supplyW', /\b(\d{3,4})\s*W(?:att)?s?\b/i, (match) => Number(match[1])),
    supplyMake: find('supplyMake', /\b([A-Z][\w-]+)\s+(?:\w+\s+)?\d{3,4}\s*W/, (match) => match[1]!),
  }
  const warrantyMonths = find(
    'warrantyMonths',
    /\b(\d+|one|two|three|five)[\s-]*(year|month)s?(?:['’]s?)?\s*(?:of\s+)?(?:limited\s+)?(?:warranty|guarantee)|(?:warranty|guarantee)\s*:?\s*(\d+|one|two|three|five)\s*(year|month)/i,
    (match) => {
      const [count, unit] = match[1] !== undefined ? [match[1], match[2]!] : [match[3]!, match[4]!]
      return (numberWords[count.toLowerCase()] ?? Number(count)) * (/year/i.test(unit) ? 12 : 1)
    },
  )
  return { parts, warrantyMonths, quotes }
}

const numberWords: Readonly<Record<string, number>> = { one: 1, two: 2, three: 3, five: 5 }

/** Text of a page's source: its data's names and descriptions, and what stands between its tags. */
function textOf(source: string): string {
  const data = [
    ...source.matchAll(
      /"(?:name|description|disambiguatingDescription|value)"\s{0,20}:\s{0,20}"((?:[^"\\]|\\.){0,8000})"/g,
    ),
  ].map((match) => match[1]!.replace(/\\n/g, '\n').replace(/\\(.)/g, '$1'))
  const body = readPage(source).text
  return [...data, body]
    .join('\n')
    .replace(/[ \t]+/g, ' ')
    .slice(0, 40_000)
}

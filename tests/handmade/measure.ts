import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Part } from '../../core/parts/part'
import { readOffer } from '../../core/reading/listings/readOffer'
import { readAsks } from '../../core/reading/asks/readAsks'
import { PasteSeen } from '../../core/pastes/pasteSeen'
import { kindOfPaste } from '../../core/pastes/readPaste'
import { readSales } from '../../core/reading/sales/readSales'
import { TitleReader } from '../../core/reading/titles/partsInTitle'
import { queryForPart } from '../../core/reading/titles/queryForPart'
import { Sieve } from '../../core/reading/titles/sieve'
import { slug } from '../../shared/text/slug'

/**
 * Titles, listings and pages written by hand, in several builders' manners and five languages, split by a coin: one half
 * to work with (`tests/handmade`), one that is only measured (`tests/heldback`, never read while working).
 */
export type Half = 'handmade' | 'heldback'
const today = '2026-10-31'
/** Read from the root of the project, since the benchmark bundles this file elsewhere. */
const text = (half: Half, name: string) => readFileSync(join('tests', half, `${name}.txt`), 'utf8')

/** Every part that a title file names, of both halves. */
function library(): Part[] {
  const parts = new Map<string, Part>()
  for (const half of ['handmade', 'heldback'] as const)
    for (const line of text(half, 'titles').split('\n')) {
      if (!line.startsWith('#')) continue
      const [role, make, name, facts] = line
        .slice(1)
        .split('|')
        .map((each) => each.trim()) as string[]
      parts.set(name!, { id: slug(name!), role, make, name, facts: JSON.parse(facts!) } as Part)
    }
  parts.set('Quill 70 S', {
    id: 'quill-70-s',
    role: 'graphics',
    make: 'Harrow',
    name: 'Quill 70 S',
    facts: { vramGb: 8 },
  })
  return [...parts.values()]
}

export interface Share {
  readonly right: number
  readonly of: number
  readonly wrong: readonly string[]
}

/** Wanted titles kept, and unwanted ones dropped, each by the query of its part. */
export function measureTitles(half: Half): { kept: Share; dropped: Share } {
  const parts = library()
  const counts = {
    '+': { right: 0, of: 0, wrong: [] as string[] },
    '-': { right: 0, of: 0, wrong: [] as string[] },
  }
  let sieve: Sieve | null = null
  for (const line of text(half, 'titles').split('\n')) {
    if (line.startsWith('#')) {
      const part = parts.find(({ name }) => name === line.split('|')[2]!.trim())!
      sieve = new Sieve({ ...queryForPart(part, parts), asOf: today, currency: 'CAD' })
      continue
    }
    const sign = line[0]
    if (sign !== '+' && sign !== '-') continue
    const verdict = sieve!.judge({
      id: '1',
      source: 's',
      title: line.slice(2),
      price: 100,
      shipping: 0,
      currency: 'CAD',
      soldOn: today,
      manner: 'fixed',
      condition: 'used',
    })
    const count = counts[sign]
    count.of += 1
    if ((verdict === null) === (sign === '+')) count.right += 1
    else count.wrong.push(`${line}${verdict ? ` (${verdict.reason}: ${verdict.detail})` : ''}`)
  }
  return { kept: counts['+'], dropped: counts['-'] }
}

/** Fields of sales blocks and tables read right, read wrongly without a word, and asked where one reading exists. */
export function measureSales(half: Half): Share & { silent: number } {
  const share = { right: 0, of: 0, silent: 0, wrong: [] as string[] }
  for (const paste of text(half, 'sales')
    .split(/^(?==== )/m)
    .filter((each) => each.trim() !== '')) {
    const [head, expected] = paste.split('\n---\n') as [string, string]
    const currency = /^=== (\w+)/.exec(head)![1]!
    const read = readSales(head.replace(/^.*\n/, ''), { today, currency })
    const rows = expected.trim().split('\n')
    if (rows.length !== read.records.length)
      share.wrong.push(`${rows.length} records, read ${read.records.length}: ${rows[0]}`)
    for (const [index, row] of rows.entries()) {
      const cells = row.split('|').map((cell) => cell.trim())
      const got = read.records[index]
      const keys = [
        'title',
        'price',
        'shipping',
        'currency',
        'soldOn',
        'manner',
        'condition',
        'quantity',
      ] as const
      for (const [at, key] of keys.entries()) {
        const want = ['', 'null', undefined].includes(cells[at]) ? 'null' : cells[at]!
        const said = String(got?.[key] ?? null)
        share.of += 1
        if (said === want) share.right += 1
        else {
          if (said !== 'null') share.silent += 1
          share.wrong.push(`${cells[0]}, ${key}: ${said}, not ${want}`)
        }
      }
    }
  }
  return share
}

/** Price, currency, shipping, condition and things of listings. */
export function measureListings(half: Half): Share {
  const parts = library()
  const reader = new TitleReader(new Map(parts.map((part) => [part.id, queryForPart(part, parts)])), today)
  const share = { right: 0, of: 0, wrong: [] as string[] }
  for (const block of text(half, 'listings')
    .split(/^(?=> )/m)
    .filter((each) => each.trim() !== '')) {
    const [head, ...rest] = block.split('\n') as [string, ...string[]]
    const want = Object.fromEntries(
      head
        .slice(2)
        .trim()
        .split(' ')
        .map((each) => each.split('=') as [string, string]),
    )
    const got = readOffer(rest.join('\n').trim(), { today, currency: 'CAD', library: parts, reader })
    const things = got.things.map((each) =>
      thingText(each.partId === null ? `?${each.role}` : short(each.partId), each.quantity, each.price),
    )
    const checks: [string, string, string][] = [
      ['price', want.price!, String(got.price)],
      ['currency', want.price === 'null' ? String(got.priceCurrency) : want.cur!, String(got.priceCurrency)],
      ['shipping', want.ship!, String(got.shipping)],
      // a text that says nothing of the state is not known to be used
      [
        'condition',
        want.works === 'unknown' && got.condition === null ? 'null' : want.cond!,
        String(got.condition),
      ],
      ['things', expectedThings(want.things!), things.sort().join(' ')],
    ]
    for (const [what, wanted, said] of checks) {
      share.of += 1
      if (wanted === said) share.right += 1
      else share.wrong.push(`${rest[0]}: ${what} ${said}, not ${wanted}`)
    }
  }
  return share
}

function thingText(id: string, quantity: number, price: string | null): string {
  return `${id}*${quantity}@${price}`
}

function expectedThings(list: string): string {
  return list
    .split(/[,|]/)
    .map((each) => {
      const [, id, quantity = '1', price = 'null'] = /^(\??[\w-]+?)(?:\*(\d+))?(?:@([\d.]+))?$/.exec(each)!
      return `${id}*${quantity}@${price}`
    })
    .sort()
    .join(' ')
}

const shortNames: Readonly<Record<string, string>> = {
  'plinth-16-gb-2-x-8-ddr4-3200': 'plinth-16-kit',
  'plinth-8-gb-ddr4-laptop': 'plinth-8-laptop',
  'bramble-32-gb-2-x-16-ddr5-5600': 'bramble-32',
  'bramble-8-gb-ddr3': 'bramble-8-ddr3',
  'mullion-b3-micro': 'mullion-b3',
  'skiff-1-tb-nvme': 'skiff-1tb',
  'skiff-500-gb-sata': 'skiff-500',
  'barge-4-tb': 'barge-4tb',
}

function short(id: string): string {
  return shortNames[id] ?? id
}

/** Pages of anything: what they are taken for, and the asks on those with several. */
export function measurePages(half: Half): Share {
  const share = { right: 0, of: 0, wrong: [] as string[] }
  const check = (where: string, what: string, wanted: string, said: string) => {
    share.of += 1
    if (wanted === said) share.right += 1
    else share.wrong.push(`${where}: ${what} ${said}, not ${wanted}`)
  }
  for (const page of text(half, 'pages').split(/^=== /m).slice(1)) {
    const [head, ...lines] = page.trimEnd().split('\n') as [string, ...string[]]
    const asked = lines.filter((line) => line.startsWith('~ ')).map((line) => line.slice(2).split(' | '))
    const said = lines.filter((line) => !line.startsWith('~ ')).join('\n')
    const where = said.slice(0, said.indexOf('\n'))
    const seen = new PasteSeen(said, { today, currency: 'CAD', library: [] })
    check(where, 'kind', /kind=(\w+)/.exec(head)![1]!, kindOfPaste(seen))
    for (const [index, [title, price, currency]] of asked.entries()) {
      const ask = seen.asks.asks[index]
      check(where, 'title', title!, String(ask?.title))
      // a sign that several share means what the home currency says
      const home = currency === 'SEK' ? 'SEK' : 'CAD'
      const own = home === 'CAD' ? ask : readAsks(said, { today, currency: home }).asks[index]
      check(where, 'price', `${price} ${currency}`, `${own?.price} ${own?.currency}`)
    }
  }
  return share
}

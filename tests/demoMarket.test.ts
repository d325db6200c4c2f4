import { describe, expect, test } from 'vitest'
import { readLeads } from '#core/files/import/leadsFile'
import { readSoldRecords } from '#core/files/import/soldRecordsFile'
import { checkFit } from '#core/machine/fit/checkFit'
import { frameLogHead, readFrameLog } from '#core/reading/frames/frameLogFile'
import { machineQueries } from '#core/pricing/machines/machineQuery'
import { streetPrice } from '#core/pricing/street/streetPrice'
import { queryForPart } from '#core/reading/titles/queryForPart'
import { Sieve } from '#core/reading/titles/sieve'
import { librarySchema } from '#shared/parts/libraryFile'
import { briefSchema } from '#shared/brief/schemas'
import { demoBuilds, demoOpinions, demoPast, demoShelf, demoStory, demoWaitNotes } from '../demo/builds'
import { catalogue } from '../demo/catalogue'
import { demoFiles } from '../demo/files'
import { machinesSold } from '../demo/machinesSold'
import { frameLogCsv } from '../demo/runs'
import { pricesOf, shopItems } from '../demo/shopPrices'
import { demoRivals, demoSources, demoToday } from '../demo/trade'

/** The made-up market is a user's files like any other: whole, the same by the same seed, and true to its story. */
const files = demoFiles()
const partIds = new Set(catalogue.map(({ id }) => id))

describe('the files', () => {
  test('the same by the same seed, another market by another', () => {
    expect(demoFiles()).toEqual(files)
    expect(demoFiles(1)['sold-records.csv']).not.toBe(files['sold-records.csv'])
  })

  test('a library that its own schema takes, every name in it once', () => {
    const library = librarySchema.validateSync(JSON.parse(files['library.json']!))
    expect(library.parts).toHaveLength(catalogue.length)
    expect(partIds.size).toBe(catalogue.length)
    for (const role of ['cpu', 'graphics'] as const)
      expect(catalogue.filter((part) => part.role === role).length).toBeGreaterThanOrEqual(24)
    expect(new Set(demoSources.map(({ id }) => id)).size).toBe(demoSources.length)
  })

  test('about seven thousand sold records with all the dirt of real ones, none of it a line that cannot be read', () => {
    const { records, problems } = readSoldRecords(files['sold-records.csv']!, {
      source: 'file',
      currency: 'CAD',
      manner: 'fixed',
      condition: 'used',
      today: demoToday,
    })
    expect(problems).toEqual([])
    expect(records.length).toBeGreaterThan(6000)
    expect(new Set(records.map(({ currency }) => currency)).size).toBeGreaterThan(2)
    expect(records.some(({ condition }) => condition === 'damaged')).toBe(true)
    expect(records.every(({ soldOn }) => soldOn <= demoToday)).toBe(true)
  })

  test('leads of known parts alone, thirty of them lots or more', () => {
    const { read } = readLeads(files['leads.csv']!, { currency: 'CAD', today: demoToday })
    const leads = read.map(({ value }) => value as unknown as { things: { partId: string }[] })
    expect(leads.length).toBeGreaterThanOrEqual(150)
    expect(leads.flatMap(({ things }) => things).every(({ partId }) => partIds.has(partId))).toBe(true)
    const isDonor = (id: string) => catalogue.find((part) => part.id === id)?.role === 'donor'
    const several = leads.filter(({ things }) => things.length > 1 || isDonor(things[0]!.partId))
    expect(several.length).toBeGreaterThanOrEqual(30)
  })

  test('thirty things of shops over a year, each at its usual price but for its sales', () => {
    const items = shopItems(9)
    expect(items.length).toBeGreaterThanOrEqual(30)
    const prices = pricesOf(items[0]!, 364, 0).map(({ price }) => price)
    expect(prices.length).toBeGreaterThan(20)
    const usual = [...prices].sort((a, b) => a - b)[Math.floor(prices.length / 2)]!
    expect(Math.min(...prices)).toBeLessThan(usual)
    expect(Math.min(...prices)).toBeGreaterThan(0.4 * usual)
  })

  test('frame logs are logs: a column is proposed, and their mean is near what was asked', () => {
    const text = frameLogCsv(5, 10)
    const { proposal } = frameLogHead(text)
    const { timesMs, rejected } = readFrameLog(text, proposal!)
    const mean = timesMs.reduce((sum, each) => sum + each, 0) / timesMs.length
    expect(rejected).toBe(0)
    expect(Math.abs(mean - 10)).toBeLessThan(1.5)
  })
})

describe('the builds and their story', () => {
  const shelf = new Set<string>(demoShelf.map(({ id }) => id))
  test.each(demoBuilds.map((build) => [String(build.brief.name), build] as const))('%s', (_, build) => {
    expect(briefSchema.isValidSync(build.brief)).toBe(true)
    for (const { partId } of [...build.hunts, ...build.lookouts, ...build.reads, ...build.ownFigures])
      expect([partId, partIds.has(partId)]).toEqual([partId, true])
    for (const id of build.owned) expect([id, shelf.has(id)]).toEqual([id, true])
    const rivals = new Set<string>(demoRivals.map(({ id }) => String(id)))
    for (const id of build.rivals) expect([id, rivals.has(id)]).toEqual([id, true])
  })

  test('what was done since names builds that there are, and parts that there are', () => {
    const names = new Set<string>(demoBuilds.map(({ brief }) => String(brief.name)))
    const named = [...demoStory.variants, ...demoStory.editions, ...demoStory.advice, demoStory.plan].map(
      ({ of }) => of,
    )
    expect(named.filter((name) => !names.has(name))).toEqual([])
    expect(
      demoStory.variants
        .flatMap(({ hunts }) => [...hunts] as { partId: string }[])
        .filter(({ partId }) => !partIds.has(partId)),
    ).toEqual([])
    expect([...demoShelf, ...demoPast.bought].filter(({ partId }) => !partIds.has(partId))).toEqual([])
    const judged = [...demoOpinions, ...demoWaitNotes].flatMap((each) =>
      'partId' in each && each.partId ? [each.partId] : [],
    )
    expect(judged.filter((id) => !partIds.has(id as string))).toEqual([])
  })

  test('the machine that was sold is told to its end: bought before it came, come before it was sold', () => {
    for (const { day, arrives } of demoPast.bought)
      expect(day <= arrives && arrives <= demoPast.sale.day).toBe(true)
    expect(demoPast.sentBack.day <= demoPast.sentBack.refundedOn).toBe(true)
  })

  test('the reading room stands: nothing of it stops, it is only slow', () => {
    const { owned } = demoBuilds.find(({ brief }) => brief.name === 'Reading room')!
    const parts = owned.map((id) =>
      catalogue.find((part) => part.id === demoShelf.find((thing) => thing.id === id)!.partId)!,
    )
    expect(checkFit({ parts }).findings.filter(({ severity }) => severity === 'stops')).toEqual([])
  })
})

describe('whole machines that were sold', () => {
  const sold = machinesSold(3)
  test('none of them counts as a sale of the card or CPU in it', () => {
    for (const part of catalogue.filter(({ role }) => role === 'cpu' || role === 'graphics')) {
      const sieve = new Sieve({
        ...queryForPart(part, catalogue),
        windowDays: 400,
        asOf: demoToday,
        currency: 'CAD',
      })
      const kept = sold.filter(
        (row) => sieve.judge({ ...row, price: 1, shipping: 0, quantity: 1 } as never) === null,
      )
      expect([part.name, kept.map(({ title }) => title)]).toEqual([part.name, []])
    }
  })

  test('those with a common card are found as machines like one, at about what their parts fetch', () => {
    const card = catalogue.find(({ name }) => name.startsWith('Tarn 640 8'))!
    const [query] = machineQueries(null, { name: card.name, query: queryForPart(card, catalogue) })
    const reading = streetPrice(
      { ...query!, asOf: demoToday, currency: 'CAD' },
      sold.map((row) => ({
        ...row,
        price: Math.round(Number(row.price) * 100),
        shipping: 0,
        quantity: 1,
      })) as never,
    )
    const named = sold.filter(({ title }) => /\bTarn 640\b(?! S)/.test(title))
    expect(reading.kept.length).toBeGreaterThan(0.75 * named.length)
    expect(reading.marks!.typical).toBeGreaterThan(card.street * 100)
    expect(reading.marks!.typical).toBeLessThan(600_00)
  })
})

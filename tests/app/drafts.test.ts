// @vitest-environment happy-dom
import { describe, expect, test } from 'vitest'
import {
  blankCode,
  blankLead,
  blankRebate,
  fromListing,
  fromOffer,
  isPageSource,
} from '~/places/leads/state/leadDraft'
import { matchingParts } from '~/places/parts/state/matchingParts'
import { brushDays, isBrushed } from '~/places/prices/state/brush'
import { dotAnnotations, priceCeiling } from '~/places/prices/state/dotsFigure'
import { isSameQuery, variantLine, withWords, wordsFrom } from '~/places/prices/state/useQueryDraft'
import { blankRun } from '~/places/bench/state/runDraft'
import { frameRows } from '~/places/bench/state/frameRows'
import { chartAxis } from '~/ui/charts/chartAxis'
import { placeTreads, type Tread } from '~/ui/charts/stairs'
import { sizeFrom, sizeOptions, sizeText } from '~/utils/screenSizes'
import { longDate, monthOf, shortDate, signedAmount, signedPercent } from '~/utils/show'
import { wordsOf } from '~/utils/wordsOf'
import { frameTimes } from '#core/performance/frametimes/frameTimes'
import type { PageOffer } from '#core/reading/listings/jsonLdOffers'
import type { OfferRead } from '#core/reading/listings/offer'
import { queryForPart } from '#core/reading/titles/queryForPart'
import type { Part } from '#core/parts/part'
import { leadSchema } from '#shared/leads/schemas'
import type { BuildView } from '#shared/builds/views'

const part = (id: string, role: Part['role'], name: string, facts: Part['facts'] = {}): Part => ({
  id,
  role,
  make: 'Murrowdun',
  name,
  facts,
})

describe('a lead being written', () => {
  const today = '2026-10-31'
  test('blank, it is asked for what is missing and for nothing else', () => {
    const missing = () => leadSchema.validateSync(blankLead(today, 'CAD'), { abortEarly: false })
    expect(missing).toThrow()
    try {
      missing()
    } catch (error) {
      const paths = (error as { inner: { path: string }[] }).inner.map(({ path }) => path)
      expect([...new Set(paths)].sort()).toEqual(['price', 'sourceId', 'things', 'title'])
    }
  })
  test('a code and a rebate begin blank: their amounts are asked for', () => {
    const lead = {
      ...blankLead(today, 'CAD'),
      title: 'Card',
      sourceId: 'shop',
      price: '10.00',
      things: [{ partId: 'card', quantity: 1, plan: 'keep' as const }],
    }
    expect(() => leadSchema.validateSync({ ...lead, rebate: blankRebate(today) })).toThrow(
      'rebate.amount: enter an amount',
    )
    expect(() => leadSchema.validateSync({ ...lead, code: blankCode() })).toThrow('enter the code')
    expect(
      leadSchema.validateSync({ ...lead, code: { ...blankCode(), word: 'TEN' }, rebate: null }).code,
    ).toMatchObject({ word: 'TEN', minSpend: null, cap: null })
  })
  test.each([
    ['<html><body>Card</body>', true],
    ['  [{"@type":"Product"}]', true],
    ['{"@type":"Product"}', true],
    ['Tarn 640 card, 100 or near offer', false],
    ['price < 100', false],
  ])('%s is the source of a page: %s', (pasted, expected) => expect(isPageSource(pasted)).toBe(expected))
  test('what a listing says fills the form, what it leaves open is left open', () => {
    const read = {
      condition: null,
      price: '100.00',
      priceCurrency: null,
      shipping: null,
      things: [
        { partId: 'card', quantity: 2 },
        { partId: null, quantity: 1 },
      ],
    } as unknown as OfferRead
    const text = `Tarn 640 8GB\n${'x'.repeat(9000)}`
    expect(fromListing(read, text)).toEqual({
      title: 'Tarn 640 8GB',
      price: '100.00',
      text: text.slice(0, 8000),
      things: [{ partId: 'card', quantity: 2, plan: 'keep' }],
    })
  })
  test('an offer of a page: its source by the seller’s name or the address, a bad address left out', () => {
    const sources = [
      { id: 'gavelry', name: 'Gavelry', kind: 'auction' },
      { id: 'pantry', name: 'Circuit Pantry', kind: 'shop' },
    ] as never
    const offer = {
      title: 'Tarn 640',
      price: '120.00',
      currency: null,
      condition: null,
      seller: 'circuit pantry',
      url: 'javascript:alert(1)',
      id: null,
    } as unknown as PageOffer
    expect(fromOffer(offer, sources, 'SEK')).toMatchObject({
      sourceId: 'pantry',
      manner: 'fixed',
      currency: 'SEK',
      condition: 'used',
      url: '',
      externalId: '',
    })
    const auction = { ...offer, seller: null, url: 'https://www.gavelry.test/1' }
    expect(fromOffer(auction, sources, 'CAD')).toMatchObject({ sourceId: 'gavelry', manner: 'auction' })
    expect(fromOffer({ ...offer, seller: 'nobody', url: null } as never, sources, 'CAD')).not.toHaveProperty(
      'sourceId',
    )
  })
})

describe('parts by typing', () => {
  const parts = [
    part('card', 'graphics', 'Tarn 640 8 GB'),
    part('better', 'graphics', 'Tarn 660 10 GB'),
    part('cpu', 'cpu', 'Heron 70'),
  ]
  test.each([
    ['tarn 640', ['card']],
    ['murrowdun tarn', ['card', 'better']],
    ['graphics', ['card', 'better']],
    ['cpu', ['cpu']],
    ['  ', []],
    ['tarn heron', []],
  ])('"%s"', (typed, found) => expect(matchingParts(parts, typed).map(({ id }) => id)).toEqual(found))
  test('no more than are asked for', () => expect(matchingParts(parts, 'r', 2)).toHaveLength(2))
})

describe('a query being written', () => {
  const parts = [
    part('card', 'graphics', 'Tarn 640 8 GB', { vramGb: 8 }),
    part('s', 'graphics', 'Tarn 640 S'),
  ]
  const query = queryForPart(parts[0]!, parts)
  test('its lists as text and back are the same query', () => {
    expect(isSameQuery(withWords(query, wordsFrom(query)), query)).toBe(true)
  })
  test.each([
    ['another word wanted', { must: [...query.must, 'boxed'] }, false],
    ['a longer window', { windowDays: query.windowDays + 1 }, false],
    ['an empty list of makes', { makes: [] }, true],
    ['a fact that is not set', { variant: { ...query.variant, kitCount: undefined } }, true],
  ])('%s', (_, change, same) => expect(isSameQuery({ ...query, ...change } as never, query)).toBe(same))
  test('the order of the fields says nothing', () => {
    const turned = Object.fromEntries(Object.entries(query).reverse())
    expect(isSameQuery(turned as never, query)).toBe(true)
  })
  test('words are divided by commas; blanks between them are none', () => {
    expect(wordsOf('oem, , tray ,')).toEqual(['oem', 'tray'])
    const written = { ...wordsFrom(query), mustNot: 'box, , sticker', makes: '', siblings: '640 s' }
    expect(withWords(query, written)).toMatchObject({
      mustNot: ['box', 'sticker'],
      variant: { siblings: ['640 s'] },
    })
    expect(withWords(query, written)).not.toHaveProperty('makes')
  })
  test('its facts in a line; many sisters are counted', () => {
    const facts = { capacityGb: 16, kitCount: 2, memoryGeneration: 'DDR4', module: 'desktop' as const }
    expect(variantLine({ ...query, variant: facts })).toBe('16 GB · kit of 2 · DDR4 · desktop')
    expect(variantLine({ ...query, variant: { siblings: ['a', 'b', 'c', 'd', 'e'] } })).toBe(
      'not a, not b and 3 other models',
    )
    expect(variantLine({ ...query, variant: undefined } as never)).toBe('')
  })
})

describe('the picture of what it sold for', () => {
  const priced = { marks: null, newPrice: null, ownFigure: null, currency: 'CAD' }
  const marks = { patient: 9000, typical: 10_000, hurried: 11_000 }
  test.each([
    // 1.6 × 110 = 176, in steps of 50; 1.08 × 200 = 216; nothing known has no end
    [{ ...priced, marks }, 200],
    [{ ...priced, marks, newPrice: 20_000 }, 250],
    [{ ...priced, ownFigure: { amount: 90_000 } }, 900],
    [{ ...priced, currency: 'JPY', marks: { patient: 9000, typical: 10_000, hurried: 11_000 } }, 20_000],
    [priced, undefined],
  ])('where the axis ends %#', (view, expected) => expect(priceCeiling(view as never)).toBe(expected))
  test('band, typical, new, own and the region marked, each where it is known', () => {
    const colour = (token: string) => token
    expect(Object.keys(dotAnnotations(priced as never, null, colour))).toEqual([])
    const full = { ...priced, marks, newPrice: 15_000, ownFigure: { amount: 9500 } }
    const region = { from: '2026-10-01', to: '2026-10-03', low: 8000, high: 9000 }
    const drawn = dotAnnotations(full as never, region, colour)
    expect(Object.keys(drawn)).toEqual(['band', 'typical', 'fresh', 'own', 'region'])
    expect(drawn.band).toMatchObject({ yMin: 90, yMax: 110 })
    expect(drawn.fresh).toMatchObject({ yMin: 150, label: { content: 'new 150.00' } })
  })
  test('a record is in the region by its day and its price, the edges included', () => {
    const region = { from: '2026-10-01', to: '2026-10-03', low: 8000, high: 9000 }
    const record = (soldOn: string, unitPrice: number | null) =>
      ({ soldOn, unitPrice, price: 8500, shipping: 0, currency: 'CAD' }) as never
    expect(isBrushed(record('2026-10-03', 9000), region)).toBe(true)
    expect(isBrushed(record('2026-10-04', 8500), region)).toBe(false)
    expect(isBrushed(record('2026-10-02', 7999), region)).toBe(false)
    expect(brushDays(region)).toBe(3)
  })
})

describe('stairs', () => {
  const tread = (id: string, at: number, rise: number): Tread => ({
    id,
    at,
    rise,
    label: id,
    foot: '',
    told: id,
    look: 'plain',
  })
  test('each tread reaches to the next, the last to the edge; higher stands higher', () => {
    const { treads, ground } = placeTreads([tread('b', 100, 2), tread('a', 50, 1)], [], 1000, 200)
    expect(treads.map(({ id }) => id)).toEqual(['a', 'b'])
    expect(treads[0]!.x + treads[0]!.width).toBeCloseTo(treads[1]!.x, 6)
    expect(treads[1]!.x + treads[1]!.width).toBeCloseTo(992, 6)
    expect(treads[1]!.y).toBeLessThan(treads[0]!.y)
    for (const { y, height } of treads) expect(y + height).toBeCloseTo(ground, 6)
  })
  test('what saves money begins left of nothing; an aim above all treads stays in the picture', () => {
    const { treads, yOf } = placeTreads(
      [tread('less', -40, 1), tread('more', 20, 1.2)],
      [{ at: 2, label: '', isAim: true }],
      1000,
      200,
    )
    expect(treads[0]!.x).toBe(44)
    expect(yOf(2)).toBeGreaterThanOrEqual(8)
  })
  test('a tread hidden behind the next has no room for its name; none placed where there are none', () => {
    const { treads } = placeTreads([tread('a', 100, 1), tread('b', 101, 2)], [], 1000, 200)
    expect(treads.map(({ hasRoom }) => hasRoom)).toEqual([false, true])
    expect(placeTreads([], [], 1000, 200).treads).toEqual([])
  })
})

describe('runs and frames', () => {
  test('a blank run stands at the first target, on the machine of the build', () => {
    const view = {
      id: 'b',
      today: '2026-10-31',
      targets: [{ workloadId: 'g', width: 2560, height: 1440, preset: 'high' }],
      workloads: [],
      parts: [part('cpu', 'cpu', 'Heron 70'), part('kit', 'memory', '8 GB', { kitCount: 1 })],
    } as unknown as BuildView
    // one module: one channel; no card: the CPU’s own graphics
    expect(blankRun(view)).toMatchObject({
      workloadId: 'g',
      width: 2560,
      cpuId: 'cpu',
      graphicsId: 'cpu',
      memoryChannels: 1,
    })
  })
  test('the figures of a log; the low that the build goes by is marked; no frames are dashes', () => {
    const times = Float32Array.from({ length: 300 }, (_, i) => (i % 100 === 99 ? 40 : 20))
    const rows = frameRows([frameTimes(times, 50), null], 50, 'worst-share')
    expect(rows.map(({ cells }) => cells[1])).toEqual(rows.map(() => '—'))
    const cell = (label: string) => rows.find((row) => row.label === label)!.cells[0]
    // 297 · 20 + 3 · 40 = 6.06 s; 300 / 6.06; the worst hundredth are the three long ones
    expect([cell('frames'), cell('seconds'), cell('average fps')]).toEqual(['300', '6.1', '49.5'])
    expect(cell('1 % low, worst 1 %')).toBe('25.0')
    // only the long ones are under 50 fps: 0.12 of 6.06 s
    expect(cell('time under 50 fps')).toBe('2.0 %')
    expect(rows.filter((row) => row.isOwnLow).map(({ label }) => label)).toEqual(['1 % low, worst 1 %'])
  })
  test('resolutions: usual ones by name, the present one always among them', () => {
    expect(sizeText({ width: 1920, height: 1080 })).toBe('1920x1080')
    expect(sizeFrom('2560x1440')).toEqual({ width: 2560, height: 1440 })
    expect(sizeOptions({ width: 1920, height: 1080 })[0]).toEqual(['1280x720', '720p'])
    expect(sizeOptions({ width: 1234, height: 567 })[0]).toEqual(['1234x567', '1234x567'])
  })
})

describe('what stands on the screen', () => {
  test('differences carry their sign, a real minus', () => {
    expect([signedAmount(1250, 'CAD'), signedAmount(-5, 'JPY'), signedAmount(0, 'KWD')]).toEqual([
      '+12.50',
      '−5',
      '0.000',
    ])
    expect([signedPercent(2.04), signedPercent(-0.5), signedPercent(0)]).toEqual([
      '+2.0 %',
      '−0.5 %',
      '0.0 %',
    ])
  })
  test('dates', () => {
    expect([shortDate('2026-10-05'), monthOf('2026-10-05'), longDate('2026-10-05')]).toEqual([
      '5 Oct',
      'Oct 2026',
      'Mon 5 Oct 2026',
    ])
  })
  test('an axis without a title shows none; its figures are formatted', () => {
    const axis = chartAxis((token) => token, { format: (value) => `${value} s`, most: 3 })
    expect(axis.title.display).toBe(false)
    expect([axis.ticks.maxTicksLimit, axis.ticks.callback!(4)]).toEqual([3, '4 s'])
  })
})

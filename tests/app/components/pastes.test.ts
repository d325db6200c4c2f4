// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { pasteKindNames, type PasteKind } from '#core/pastes/kinds'
import { readPaste } from '#core/pastes/readPaste'
import type { Part } from '#core/parts/part'
import type { LibraryView } from '#shared/parts/views'
import { nextTick } from 'vue'
import { registerComponents } from './mounted'

// the reading itself is made in a worker; here it is made beside the page
vi.mock('~/workers/paste.worker?worker', () => ({ default: function noWorker() {} }))

const parts: Part[] = [
  {
    id: 'tarn-640',
    role: 'graphics',
    make: 'Murrowdun',
    name: 'Tarn 640 8 GB',
    facts: { graphicsIndex: 100, vramGb: 8 },
  },
  { id: 'tarn-660', role: 'graphics', make: 'Murrowdun', name: 'Tarn 660 10 GB', facts: { vramGb: 10 } },
  { id: 'kettle', role: 'cpu', make: 'Ostrel', name: 'Kettle 4600', facts: {} },
]
const library = {
  parts,
  sources: [
    { id: 'gavelry', name: 'Gavelry', kind: 'auction', meanings: null },
    {
      id: 'orrery',
      name: 'Orrery',
      kind: 'auction',
      meanings: { manner: {}, condition: { zufrieden: 'used' } },
    },
  ],
} as unknown as LibraryView
await registerComponents([
  'SourceField',
  'PasteCurrency',
  'KeepLine',
  'ListedThings',
  'NewThing',
  'AsCopied',
  'SalesQuestions',
  'SalesRows',
  'SalesOfTable',
  'PartPicker',
  'OriginalText',
])
/** What a preview is given of a text that is read as a kind. */
function pasted<K extends PasteKind>(text: string, as: K) {
  const context = { today: '2026-10-31', currency: 'CAD', library: parts }
  const shown = {
    text,
    library,
    today: '2026-10-31',
    currency: 'CAD',
    dayFirst: null,
    buildId: 'b',
    busy: false,
  }
  return { paste: { ...readPaste(text, context, as), ...shown } as never }
}
const sold = [
  'Murrowdun Tarn 640 8GB',
  'Sold 12 Oct 2026',
  '$131.00',
  '+ $9.50 shipping',
  '',
  'Tarn 640 8GB graphics card',
  'Sold 14 Oct 2026',
  '$127.00',
  'Free shipping',
  '',
  'Tarn 660 10GB',
  'Sold 15 Oct 2026',
  '$188.00',
  '+ $9.50 shipping',
].join('\n')

beforeEach(() => {
  sessionStorage.clear()
  vi.stubGlobal('fetch', () => Promise.reject(new Error('away')))
})
afterEach(() => {
  document.body.innerHTML = ''
  vi.unstubAllGlobals()
})

describe('every kind of paste', async () => {
  const { previewOf } = await import('~/places/pastes/state/preview')
  test.each(pasteKindNames)(
    '%s has a preview that shows any text as it, and saves nothing by itself',
    (kind) => {
      for (const text of [sold, 'Tarn 640 8GB, works, $85', 'no price, no day']) {
        const shown = mount(previewOf[kind], { props: pasted(text, kind) })
        expect(shown.text()).not.toBe('')
        expect(shown.emitted('keep')).toBeUndefined()
      }
    },
  )
  test('what is said to be sales is read as sales, with the parts they are of', () => {
    const one = 'Tarn 640 8GB\nSold 12 Oct 2026\n$131.00'
    expect(
      readPaste(one, { today: '2026-10-31', currency: 'CAD', library: parts }, 'sales').read,
    ).toMatchObject({
      sales: { records: [{ price: '131.00' }] },
      of: [{ partId: 'tarn-640' }],
    })
  })
})

describe('past sales as they were understood', async () => {
  const { default: PastedSales } = await import('~/places/pastes/components/PastedSales.vue')
  const shownFor = (text = sold) => mount(PastedSales, { props: pasted(text, 'sales') })
  test('of the source of a page the lines are marked as they are seen', () => {
    const items = sold.split('\n\n').map((item) => `<li>${item.replaceAll('\n', '<br>')}</li>`)
    const shown = shownFor(`<ul class="results">\n<!-- ${'x\n'.repeat(20)} -->${items.join('')}</ul>`)
    const marked = shown
      .findAll('[aria-label="original text"] p')
      .filter((line) => line.classes('border-info'))
    expect(marked.map((line) => line.text())).toContain('Murrowdun Tarn 640 8GB')
    expect(marked.map((line) => line.text())).toContain('Sold 15 Oct 2026')
  })
  const price = (shown: ReturnType<typeof shownFor>, row: number) =>
    shown.find(`input[aria-label="price ${row}"]`).element as HTMLInputElement

  test('a cell changed by hand survives a reload; another text begins anew', async () => {
    const first = shownFor()
    expect(price(first, 1).value).toBe('131.00')
    await first.find('input[aria-label="price 1"]').setValue('125.00')
    await nextTick()
    first.unmount()
    const again = shownFor()
    expect(price(again, 1).value).toBe('125.00')
    expect(price(again, 2).value).toBe('127.00')
    again.unmount()
    expect(price(shownFor(`${sold}\n\nTarn 640 8GB\nSold 16 Oct 2026\n$130.00`), 1).value).toBe('131.00')
  })

  test('a price emptied is doubtful and left out until it is put right', async () => {
    const shown = shownFor()
    await shown.find('input[aria-label="price 2"]').setValue('')
    expect(shown.text()).toContain('1 unclear')
    await shown.find('input[aria-label="source"]').setValue('Gavelry')
    const keep = shown.findAll('button').find((button) => /^Save/.test(button.text()))!
    await keep.trigger('click')
    const [input] = shown.emitted('keep')![0] as unknown as [
      { sales: { price: string }[]; source: { name: string } },
    ]
    expect(input.sales.map((each) => each.price)).toEqual(['131.00', '188.00'])
    expect(input.source.name).toBe('Gavelry')
    // they are of a part of the library: its prices are where they show
    expect(shown.emitted('keep')![0]![1]).toBe('prices?part=tarn-640')
  })

  test('what is kept already under the source that is named is told before', async () => {
    vi.useFakeTimers()
    const asked = vi.fn(async (_path: string, _init: RequestInit) => Response.json({ places: [1] }))
    vi.stubGlobal('fetch', asked)
    const shown = shownFor()
    expect(shown.text()).not.toContain('already saved')
    await shown.find('input[aria-label="source"]').setValue('Gavelry')
    await vi.advanceTimersByTimeAsync(300)
    await nextTick()
    expect(asked.mock.lastCall![0]).toBe('/api/pastes/doubles')
    expect(JSON.parse(String(asked.mock.lastCall![1].body))).toMatchObject({ source: 'Gavelry' })
    expect(shown.text()).toContain('1 already saved: not added again')
    expect(
      shown
        .find('table')
        .findAll('tr')
        .map((row) => row.text().includes('already saved')),
    ).toEqual([
      false, // head
      false,
      true,
      false,
    ])
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  test('where nobody answers, or a cell cannot be read, nothing is told and nothing fails', async () => {
    vi.useFakeTimers()
    vi.stubGlobal('fetch', () => Promise.reject(new Error('away')))
    const shown = shownFor()
    await shown.find('input[aria-label="source"]').setValue('Gavelry')
    await vi.advanceTimersByTimeAsync(300)
    expect(shown.text()).not.toContain('already saved')
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  test('a date with two readings is asked for; the answer is handed on', async () => {
    const text = ['12 Oct', '14 Oct', '15 Oct'].reduce(
      (told, day, at) => told.replace(`${day} 2026`, `0${at + 5}/09/2026`),
      sold,
    )
    const shown = shownFor(text)
    expect(shown.text()).toContain('is the day or the month first?')
    await shown
      .findAll('button')
      .find((button) => button.text() === 'day')!
      .trigger('click')
    expect(shown.emitted('say')![0]).toEqual([{ dayFirst: true }])
  })
})

describe('words of a table that are not ours', async () => {
  const { default: PastedSales } = await import('~/places/pastes/components/PastedSales.vue')
  const table = [
    'title,price,sold on,state',
    'Tarn 640 8GB,131.00,2026-10-12,zufrieden',
    'Tarn 640 8 GB,127.00,2026-10-14,Zufrieden',
    'Tarn 660 10GB no fan,88.00,2026-10-15,zufrieden',
  ].join('\n')
  const shownFor = () => mount(PastedSales, { props: pasted(table, 'sales') })
  const state = (shown: ReturnType<typeof shownFor>, row: number) =>
    (shown.find(`select[aria-label="condition ${row}"]`).element as HTMLSelectElement).value

  test('are asked for once, for all their rows, and remembered with the source', async () => {
    const shown = shownFor()
    expect(shown.text()).toContain('“zufrieden” in 3 rows')
    await shown.find('select[aria-label="meaning of zufrieden"]').setValue('refurbished')
    expect([state(shown, 1), state(shown, 2)]).toEqual(['refurbished', 'refurbished'])
    await shown.find('input[aria-label="source"]').setValue('Pier Street')
    await shown
      .findAll('button')
      .find((button) => /^Save 3/.test(button.text()))!
      .trigger('click')
    expect(shown.emitted('keep')![0]![0]).toMatchObject({
      meanings: { manner: {}, condition: { zufrieden: 'refurbished' } },
    })
  })
  test('are known where they were said before', async () => {
    const shown = shownFor()
    await shown.find('input[aria-label="source"]').setValue('orrery')
    expect([state(shown, 1), state(shown, 2)]).toEqual(['used', 'used'])
  })
  test('without stated shipping: nothing, the middle of the paste, or left out', async () => {
    const shown = mount(PastedSales, { props: pasted(sold.replace('Free shipping', 'from Harlow'), 'sales') })
    const shipping = async (how: string) => {
      await shown.find('select[aria-label="without stated shipping"]').setValue(how)
      await shown
        .findAll('button')
        .find((button) => /^Save/.test(button.text()))!
        .trigger('click')
      const [input] = shown.emitted('keep')!.at(-1) as unknown as [{ sales: { shipping: string | null }[] }]
      return input.sales.map((each) => each.shipping)
    }
    expect(await shipping('nothing')).toEqual(['9.50', null, '9.50'])
    expect(await shipping('usual')).toEqual(['9.50', '9.50', '9.50'])
    expect(await shipping('out')).toEqual(['9.50', '9.50'])
  })
})

describe('several asks of one page', async () => {
  const { default: PastedListings } = await import('~/places/pastes/components/PastedListings.vue')
  const { default: PastedOffers } = await import('~/places/pastes/components/PastedOffers.vue')
  const page = [
    'Tarn 640 8GB graphics card',
    '$110',
    'Harlow, pick up only',
    '',
    'Some odd board',
    '$30',
    'Dunmore',
    '',
    'Kettle 4600, works',
    'make me an offer',
  ].join('\n')

  test('become leads: what is known is tied to its part, what is not is made one; what is unclear stays out', async () => {
    const shown = mount(PastedListings, { props: pasted(page, 'listings') })
    expect(shown.text()).toContain('3 listings read')
    expect(shown.text()).toContain('1 without a clear price')
    expect(shown.text()).toContain('Some odd board (new part)')
    await shown.find('input[aria-label="source"]').setValue('Pier Street')
    await shown.find('button[aria-label="contents of listing 2"]').trigger('click')
    await shown.find('select[aria-label="role of part 1 of listing 2"]').setValue('motherboard')
    await shown.find('.button-main').trigger('click')
    expect(shown.emitted('keep')![0]![0]).toMatchObject({
      source: { name: 'Pier Street', kind: 'classifieds' },
      parts: [{ id: 'some-odd-board', role: 'motherboard' }],
      leads: [
        { price: '110.00', things: [{ partId: 'tarn-640', quantity: 1 }] },
        { price: '30.00', things: [{ partId: 'some-odd-board' }] },
      ],
    })
  })

  test('one without a price waits for it; one left out stays out', async () => {
    const shown = mount(PastedListings, { props: pasted(page, 'listings') })
    await shown.find('input[aria-label="source"]').setValue('Pier Street')
    await shown.find('input[aria-label="asking price 1"]').setValue('')
    expect(shown.text()).toContain('2 without a clear price')
    await shown.find('input[aria-label="save listing 2"]').setValue(false)
    expect(shown.find('.button-main').attributes('disabled')).toBeDefined()
  })

  test('of a shop are its prices, of parts that are there or are made', async () => {
    const shown = mount(PastedOffers, { props: pasted(page, 'offers') })
    expect(shown.find('.button-main').attributes('disabled')).toBeDefined()
    await shown.find('input[aria-label="shop"]').setValue('Pantry')
    await shown.find('input[aria-label="price 2"]').setValue('29.00')
    expect(shown.find('.button-main').text()).toBe('Save 2 prices and create 1 part')
    await shown.find('.button-main').trigger('click')
    expect(shown.emitted('keep')![0]).toMatchObject([
      {
        source: { name: 'Pantry', kind: 'shop' },
        parts: [{ id: 'some-odd-board', name: 'Some odd board' }],
        shopPrices: [
          { partId: 'tarn-640', price: '110.00', currency: 'CAD' },
          { partId: 'some-odd-board', price: '29.00' },
        ],
      },
      'prices?part=tarn-640',
    ])
  })
})

describe('a table of scores', async () => {
  const { default: PastedScores } = await import('~/places/pastes/components/PastedScores.vue')
  const scores = ['card\tscore', 'Tarn 640 8 GB\t5000', 'Tarn 660 10 GB\t6400', 'Some other card\t7000'].join(
    '\n',
  )

  test('its names are matched to parts, its figures brought onto the scale of the indexes', () => {
    const shown = mount(PastedScores, { props: pasted(scores, 'scores') })
    // 6400 where 5000 is an index of 100
    expect(shown.text()).toContain('128')
  })
})

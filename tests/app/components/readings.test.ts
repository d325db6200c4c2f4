// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { beforeAll, describe, expect, test } from 'vitest'
import type { Part } from '#core/parts/part'
import type { SaleRead, SalesProblem } from '#core/reading/sales/saleRead'
import type { LibraryView } from '#shared/parts/views'
import ListingText from '~/places/leads/components/ListingText.vue'
import LeadReading from '~/places/leads/components/LeadReading.vue'
import AsCopied from '~/places/pastes/components/AsCopied.vue'
import SalesQuestions from '~/places/pastes/components/SalesQuestions.vue'
import SalesRows from '~/places/pastes/components/SalesRows.vue'
import { registerComponents } from './mounted'

/** What was read from a text, shown beside it: stated, deduced, missing, and what is asked. */
const parts: Part[] = [
  { id: 'quill-70', role: 'graphics', make: 'Harrow', name: 'Quill 70', facts: { vramGb: 8 } },
  { id: 'dovecote-5300', role: 'cpu', make: 'Linnet', name: 'Dovecote 5300', facts: {} },
]
const library = { parts, sources: [] } as unknown as LibraryView
beforeAll(() => registerComponents(['ListingText']))

describe('the text of a listing', () => {
  const shownFor = (text: string) =>
    mount(ListingText, { props: { text, parts, today: '2026-10-31', currency: 'CAD' } })
  test('what it states is marked where it stands, and named', () => {
    const shown = shownFor('Quill 70 8GB, works\n$95, free shipping')
    expect(shown.findAll('mark').map((mark) => mark.text())).toEqual(['Quill 70 8GB', '$95', 'free shipping'])
    expect(shown.text()).toContain('ask 95.00 stated')
    expect(shown.text()).toContain('shipping 0.00 stated')
    expect(shown.text()).toContain('part Harrow Quill 70 stated')
  })
  test('what it only lets one think is deduced, what it does not say is missing', () => {
    const shown = shownFor('Quill 70 8GB, works great')
    expect(shown.text()).toContain('condition used deduced')
    expect(shown.text()).toContain('ask not stated missing')
    expect(shown.text()).toContain('shipping not stated missing')
  })
  test('a text that names no part for sure says so, and still hands on what it read', () => {
    const shown = shownFor('An old lamp, $20')
    expect(shown.text()).toContain('No library part matches for certain')
    expect(shown.emitted('read')![0]).toMatchObject([{ price: '20.00' }])
  })
  test('what is left open becomes questions to the seller', () =>
    expect(shownFor('Quill 70 8GB $95').text()).toContain('Ask the seller:'))
})

describe('what is pasted into a lead', () => {
  const shownFor = () => mount(LeadReading, { props: { library, today: '2026-10-31', currency: 'CAD' } })
  async function paste(text: string) {
    const shown = shownFor()
    const area = shown.find('textarea')
    await area.setValue(text)
    await area.trigger('change')
    return shown
  }
  const product = (name: string, price: string) => ({
    '@type': 'Product',
    name,
    offers: { '@type': 'Offer', price, priceCurrency: 'CAD' },
  })
  test('the text of a listing fills the form', async () => {
    const shown = await paste('Quill 70 8GB\n2 of them, $95 each')
    const [some] = shown.emitted('read')!.at(-1)! as [{ title: string; things: object[] }]
    expect(some.title).toBe('Quill 70 8GB')
    expect(some.things).toMatchObject([{ partId: 'quill-70' }])
  })
  test('a page with one product is taken at once; of several one is chosen', async () => {
    const one = await paste(JSON.stringify(product('Quill 70', '95.00')))
    expect(one.emitted('read')![0]).toMatchObject([{ title: 'Quill 70', price: '95.00' }])
    const two = await paste(JSON.stringify([product('Quill 70', '95.00'), product('Dovecote 5300', '60.00')]))
    expect(two.emitted('read')).toBeUndefined()
    expect(two.text()).toContain('has 2 products')
    await two.findAll('button').at(-1)!.trigger('click')
    expect(two.emitted('read')![0]).toMatchObject([{ title: 'Dovecote 5300', price: '60.00' }])
  })
  test('a page that offers nothing says so', async () => {
    const shown = await paste('<html><body>hello</body></html>')
    expect(shown.find('[role="alert"]').text()).not.toBe('')
    expect(shown.emitted('read')).toBeUndefined()
  })
})

const row = (change: Partial<SaleRead> = {}): SaleRead => ({
  title: 'Quill 70 8GB',
  price: '131.00',
  shipping: null,
  currency: 'CAD',
  soldOn: '2026-10-28',
  manner: 'fixed',
  condition: null,
  quantity: null,
  lines: [1, 3],
  ...change,
})

describe('a preview of past sales', () => {
  test('each line as it was copied, marked with its row; those that belong to none are soft', () => {
    const shown = mount(AsCopied, {
      props: {
        text: 'Quill 70 8GB\n$131.00\nSold Oct 28\nWatch\nStook 640',
        rows: [row(), row({ lines: [5, 5] })],
        pointed: 1,
      },
    })
    const lines = shown.findAll('p')
    expect(lines.map((line) => line.classes('text-soft'))).toEqual([false, false, false, true, false])
    expect(lines.map((line) => line.classes('bg-info-ground'))).toEqual([false, false, false, false, true])
  })
  test('of a very long paste only the first lines are drawn', () => {
    const shown = mount(AsCopied, {
      props: {
        text: Array.from({ length: 1000 }, (_, at) => `line ${at}`).join('\n'),
        rows: [],
        pointed: -1,
      },
    })
    expect(shown.findAll('p')).toHaveLength(400)
  })

  const rowsFor = (rows: SaleRead[], only = false, doubles: readonly SaleRead[] = []) =>
    mount(SalesRows, { props: { modelValue: rows, only, doubles: new Set(doubles) } })
  test('a cell is changed in place; emptied it is not known', async () => {
    const rows = [row(), row({ price: null })]
    const shown = rowsFor(rows)
    await shown.find('input[aria-label="price 2"]').setValue(' 99.00 ')
    await shown.find('input[aria-label="sold on 1"]').setValue('')
    await shown.find('select[aria-label="condition 1"]').setValue('refurbished')
    expect(rows[1]!.price).toBe('99.00')
    expect(rows[0]).toMatchObject({ soldOn: null, condition: 'refurbished' })
  })
  test('doubtful ones alone, with the numbers they have among all', () => {
    const shown = rowsFor([row(), row({ soldOn: null }), row({ price: null })], true)
    expect(shown.findAll('tbody tr')).toHaveLength(2)
    expect(shown.find('input[aria-label="title 3"]').exists()).toBe(true)
    expect(shown.find('input[aria-label="title 1"]').exists()).toBe(false)
  })
  test('one can be left out, and the row under the hand is told', async () => {
    const rows = [row(), row({ title: 'Stook 640' })]
    const shown = rowsFor(rows)
    await shown.findAll('tbody tr')[1]!.trigger('mouseenter')
    expect(shown.emitted('point')).toEqual([[1]])
    await shown.find('button[aria-label="leave out 1"]').trigger('click')
    expect(rows.map(({ title }) => title)).toEqual(['Stook 640'])
  })
  test('of many rows only the first are drawn', () =>
    expect(rowsFor(Array.from({ length: 300 }, () => row())).findAll('tbody tr')).toHaveLength(200))

  const asks = (problems: Partial<SalesProblem>[], words: object[] = []) =>
    mount(SalesQuestions, {
      props: {
        problems: problems as SalesProblem[],
        words: words as never,
        meant: ({ said }: { said: string }) => (said === 'known' ? 'used' : ''),
        dayFirst: null,
      },
    })
  test('nothing is asked where nothing is open', () => expect(asks([]).text()).toBe(''))
  test('day or month, which currency, what a word means', async () => {
    const shown = asks(
      [
        { code: 'ambiguous', message: 'day or month first?', raw: '04/05/2026', line: 1 },
        { code: 'ambiguous', message: '"kr" is not a CAD sign: which currency is it?', line: 2 },
        { code: 'unknown-value', message: '"x" is not a quantity', line: 3 },
      ],
      [
        { field: 'condition', said: 'fine', lines: [2] },
        { field: 'manner', said: 'known', lines: [2, 3] },
      ],
    )
    expect(shown.text()).toContain('In “04/05/2026”, is the day or the month first?')
    expect(shown.text()).toContain('which currency is it? Enter its code')
    expect(shown.text()).toContain('line 3: "x" is not a quantity')
    expect(shown.text()).toContain('Condition “fine” in 1 row means')
    expect(shown.text()).toContain('Sale type “known” in 2 rows means')
    expect(shown.text().match(/remembered for this source/g)).toHaveLength(1)
    await shown.find('select[aria-label="meaning of fine"]').setValue('refurbished')
    expect(shown.emitted('mean')![0]).toMatchObject([{ said: 'fine' }, 'refurbished'])
    await shown.findAll('button')[1]!.trigger('click')
    expect(shown.emitted('update:dayFirst')).toEqual([[false]])
  })
})

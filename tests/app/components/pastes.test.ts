// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { readOffer } from '#core/reading/listings/readOffer'
import { guessPaste } from '#core/reading/pastes/kindOf'
import { TitleReader } from '#core/reading/titles/partsInTitle'
import { queryForPart } from '#core/reading/titles/queryForPart'
import type { Part } from '#core/parts/part'
import type { LibraryView } from '#shared/parts/views'
import type { PasteReading } from '~/workers/pasteProtocol'
import { nextTick } from 'vue'

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
const library = { parts, sources: [{ id: 'gavelry', name: 'Gavelry' }] } as unknown as LibraryView
function readingOf(text: string): PasteReading {
  const context = { today: '2026-10-31', currency: 'CAD', library: parts }
  const reader = new TitleReader(
    new Map(parts.map((part) => [part.id, queryForPart(part, parts)])),
    '2026-10-31',
  )
  const { kind, why, sales, specs, scores } = guessPaste(text, context)
  return {
    kind,
    why,
    sales,
    specs,
    scores,
    scoresOf: scores.rows.map(({ name }) => ({ partIds: reader.read(name).partIds })),
    of: [],
    offer: readOffer(text, { ...context, reader }),
  }
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

beforeEach(() => sessionStorage.clear())
afterEach(() => (document.body.innerHTML = ''))

describe('past sales as they were understood', async () => {
  const { default: PastedSales } = await import('~/places/pastes/components/PastedSales.vue')
  const shownFor = (text = sold) =>
    mount(PastedSales, {
      props: { text, reading: readingOf(text), library, busy: false, currency: 'CAD', dayFirst: null },
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
    expect(shown.text()).toContain('1 doubtful')
    await shown.find('input[aria-label="sold at"]').setValue('Gavelry')
    const keep = shown.findAll('button').find((button) => /keep/i.test(button.text()))!
    await keep.trigger('click')
    const [input] = shown.emitted('keep')![0] as unknown as [
      { sales: { price: string }[]; source: { name: string } },
    ]
    expect(input.sales.map((each) => each.price)).toEqual(['131.00', '188.00'])
    expect(input.source.name).toBe('Gavelry')
  })

  test('a date with two readings is asked for; the answer is handed on', async () => {
    const text = ['12 Oct', '14 Oct', '15 Oct'].reduce(
      (told, day, at) => told.replace(`${day} 2026`, `0${at + 5}/09/2026`),
      sold,
    )
    const shown = shownFor(text)
    expect(shown.text()).toContain('Day or month first')
    await shown
      .findAll('button')
      .find((button) => button.text() === 'the day')!
      .trigger('click')
    expect(shown.emitted('update:dayFirst')![0]).toEqual([true])
  })
})

describe('a table of scores', async () => {
  const { default: PastedScores } = await import('~/places/pastes/components/PastedScores.vue')
  const scores = ['card\tscore', 'Tarn 640 8 GB\t5000', 'Tarn 660 10 GB\t6400', 'Some other card\t7000'].join(
    '\n',
  )

  test('its names are matched to parts, its figures brought onto the scale of the indexes', () => {
    const shown = mount(PastedScores, { props: { reading: readingOf(scores), library, busy: false } })
    // 6400 where 5000 is an index of 100
    expect(shown.text()).toContain('128')
  })
})

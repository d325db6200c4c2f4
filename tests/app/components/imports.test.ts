// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { registerComponents } from './mounted'

/** What is shown after an import of past sales: rows to put right, and parts that could be made. */
const sent: { path: string; body: unknown }[] = []
const group = { make: 'Harrow', name: 'Quill 70 8 GB', role: 'graphics', facts: { vramGb: 8 }, at: [0, 1, 2] }
const sales = { partId: null, group, kept: [0, 1], left: [{ at: 2, reason: 'for parts' }], marks: null }
beforeEach(() => {
  setActivePinia(createPinia())
  sent.length = 0
  vi.stubGlobal(
    'fetch',
    vi.fn((path: string, options?: { body?: string }) => {
      sent.push({ path, body: options?.body ? JSON.parse(options.body) : null })
      const answer = path.includes('proposals')
        ? { titles: ['a', 'b', 'Quill 70 for parts'], sales: [sales], looked: 3, of: 3 }
        : { paste: 9 }
      return Promise.resolve(
        new Response(JSON.stringify(answer), { headers: { 'content-type': 'application/json' } }),
      )
    }),
  )
})
afterEach(() => vi.unstubAllGlobals())
await registerComponents(['SalesOfTable'])

describe('the report of an import', async () => {
  const { default: ImportReport } = await import('~/places/prices/components/ImportReport.vue')
  const report = {
    import: 4,
    added: 3,
    alreadyThere: 0,
    rejected: 2,
    problems: [
      {
        line: 3,
        code: 'price',
        reason: '"free" is not a price',
        raw: '',
        cells: ['Quill 70', 'free', '2026-10-20'],
      },
      { line: 9, code: 'price', reason: 'no price', raw: '', cells: ['Odd, thing', '', '2026-10-21'] },
    ],
  }
  const shownFor = (added = 3) =>
    mount(ImportReport, {
      props: { report: { ...report, added }, header: ['title', 'price', 'date'], currency: 'CAD' },
    })

  test('only rows that were put right go in again, under the columns of the file', async () => {
    const shown = shownFor()
    await flushPromises()
    const again = () => shown.findAll('button').find((button) => button.text().startsWith('Import'))!
    expect(again().attributes('disabled')).toBeDefined()
    await shown.find('input[aria-label="price of line 9"]').setValue('30.00')
    await again().trigger('click')
    expect(shown.emitted('again')).toEqual([['title,price,date\r\n"Odd, thing",30.00,2026-10-21']])
  })

  test('titles that look alike are made a part, and the import can be taken back', async () => {
    const shown = shownFor()
    await flushPromises()
    expect(sent[0]!.path).toBe('/api/prices/sold-records/proposals?import=4&currency=CAD')
    expect(shown.text()).toContain('Harrow Quill 70 8 GB')
    await shown.find('input[aria-label="create Harrow Quill 70 8 GB as a part"]').trigger('change')
    await shown
      .findAll('button')
      .find((button) => button.text() === 'Create 1 part')!
      .trigger('click')
    await flushPromises()
    expect(sent.find(({ path }) => path === '/api/pastes/keep')!.body).toEqual({
      parts: [
        {
          id: 'harrow-quill-70-8-gb',
          role: 'graphics',
          make: 'Harrow',
          name: 'Quill 70 8 GB',
          facts: { vramGb: 8 },
        },
      ],
    })
    await shown
      .findAll('button')
      .find((button) => button.text() === 'Undo import')!
      .trigger('click')
    await flushPromises()
    expect(sent.at(-1)).toEqual({ path: '/api/pastes/undo', body: { paste: 4 } })
    expect(shown.emitted('done')).toHaveLength(1)
  })

  test('where nothing came, nothing is asked or taken back', async () => {
    const shown = shownFor(0)
    await flushPromises()
    expect(sent).toEqual([])
    expect(shown.text()).not.toContain('Undo import')
  })
})

// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import type { OfferRead } from '#core/reading/listings/offer'
import type { Part } from '#core/parts/part'
import type { SaleRead, SalesProblem } from '#core/reading/sales/saleRead'
import { nextTick, ref } from 'vue'
import { idOfThing, listedThings, ofLibrary, partsToMake } from '~/places/pastes/state/listedThings'
import { openTarvinFile } from '~/places/pastes/state/openFile'
import { labelOfSales, partOfSales } from '~/places/pastes/state/salesOfParts'
import { useColumnWords } from '~/places/pastes/state/useColumnWords'

/** What lies between the reading of a paste and what is kept of it. */
const card: Part = { id: 'quill-70', role: 'graphics', make: 'Harrow', name: 'Quill 70', facts: {} }
const thing = (change: object = {}) => ({
  partId: null,
  role: 'graphics',
  words: 'Stook 640 4GB',
  quantity: 1,
  price: null,
  works: 'yes',
  facts: { vramGb: { value: 4, certainty: 'stated' } },
  ...change,
})
const read = (...things: object[]) => ({ things }) as unknown as OfferRead

describe('the things of a listing', () => {
  test('each with its facts, its count and its own price; a part of the library by its id', () => {
    const [first, second] = listedThings(
      read(thing(), thing({ partId: 'quill-70', quantity: 2, price: '60.00' })),
      'two cards',
    )
    expect(first).toMatchObject({ partId: '', name: 'Stook 640 4GB', facts: { vramGb: 4 }, open: false })
    expect(second).toMatchObject({ partId: 'quill-70', quantity: 2, price: '60.00' })
  })
  test.each([
    ['Stook 640', false],
    ['some graphics card 8 GB', true],
    ['DDR4 2 x 8GB', true],
    ['650 W supply', true],
    ['Anvil 650', false],
  ])('%s is open: %s', (words, open) => expect(listedThings(read(thing({ words })), '')[0]!.open).toBe(open))
  test('where nothing was found the title is one thing', () =>
    expect(listedThings(read(), 'An old lamp')).toEqual([
      { partId: '', role: 'extra', name: 'An old lamp', quantity: 1, facts: {}, open: true, price: null },
    ]))
  test('L13: a part by another spelling is that part, and a price behind the name is no part of it', () => {
    const library = [
      { ...card, id: 'brisk', make: 'Palisado', name: 'Brisk 57 8 GB' },
      { ...card, id: 'gorse', make: '', name: 'Gorse X' },
    ]
    const idOf = (words: string) => listedThings(read(thing({ words })), '', library)[0]!.partId
    expect(['Palisado Brisk 57 8GB', 'Gorse X 379.00 opened', 'Gorse X 379.00', 'Gorse'].map(idOf)).toEqual([
      'brisk',
      'gorse',
      'gorse',
      '',
    ])
  })
  test('what is not in the library is made once, however often it is listed', () => {
    const things = listedThings(read(thing(), thing(), thing({ partId: 'quill-70' })), '')
    expect(things.map(idOfThing)).toEqual(['stook-640-4gb', 'stook-640-4gb', 'quill-70'])
    expect(partsToMake([...things, ofLibrary(card)], [card])).toEqual([
      {
        id: 'stook-640-4gb',
        role: 'graphics',
        make: '',
        name: 'Stook 640 4GB',
        facts: { vramGb: 4 },
        open: false,
      },
    ])
  })
})

test('sales of a part that is made of their titles', () => {
  const sales = {
    partId: null,
    group: { make: 'Harrow', name: 'Quill 70 8 GB', role: 'graphics', facts: { vramGb: 8 }, at: [0, 1, 2] },
  } as unknown as Parameters<typeof partOfSales>[0]
  expect(labelOfSales(sales)).toContain('Quill 70 8 GB')
  expect(partOfSales(sales, 'graphics')).toMatchObject({
    role: 'graphics',
    make: 'Harrow',
    name: 'Quill 70 8 GB',
    facts: { vramGb: 8 },
  })
})

describe('words of a column that are not ours', () => {
  beforeEach(() => sessionStorage.clear())
  const row = (title: string, line: number) =>
    ({ title, condition: null, manner: null, lines: [line, line] }) as unknown as SaleRead
  const asked = (line: number, said: string, field: 'manner' | 'condition' = 'condition') =>
    ({ line, code: 'unknown-value', message: '', raw: '', word: { field, said } }) as SalesProblem
  const rows = () => ref([row('Quill 70', 2), row('Quill 70 for parts', 3), row('Quill 70', 4)])

  test('one answer counts for every row that has the word; a title that says worse keeps it', () => {
    const of = rows()
    const { words, mean, meant, said } = useColumnWords([asked(2, 'fine'), asked(3, 'Fine')], of, ref(null))
    expect(words.value.map(({ said: word, lines }) => [word, lines])).toEqual([['fine', [2, 3]]])
    expect(said.value).toBeNull()
    mean(words.value[0]!, 'refurbished')
    expect(meant(words.value[0]!)).toBe('refurbished')
    expect(of.value.map(({ condition }) => condition)).toEqual(['refurbished', 'damaged', null])
    expect(said.value).toEqual({ manner: {}, condition: { fine: 'refurbished' } })
  })
  test('what the source is known to mean by it is not asked again', async () => {
    const of = rows()
    const known = ref<{ manner: Record<string, string>; condition: Record<string, string> } | null>(null)
    useColumnWords([asked(4, 'at once', 'manner')], of, known as never)
    known.value = { manner: { 'At once ': 'fixed' }, condition: {} }
    await nextTick()
    expect(of.value.map(({ manner }) => manner)).toEqual([null, null, 'fixed'])
  })
})

describe('a file that Tarvin wrote', () => {
  const sent: string[] = []
  beforeEach(() => {
    sent.length = 0
    vi.stubGlobal('fetch', async (path: string) => {
      sent.push(path)
      return Response.json({ id: 'attic' })
    })
  })
  afterEach(() => vi.unstubAllGlobals())

  test.each([
    ['{"format":"tarvin-build"}', '/api/builds/import', '/b/attic/machine'],
    ['{"format":"tarvin-library"}', '/api/library/import', '/parts'],
  ])('%s goes to %s and shows %s', async (text, path, page) => {
    expect(await openTarvinFile(text, 'a.json')).toBe(page)
    expect(sent).toEqual([path])
  })
  test.each([
    ['{"format":"tarvin-backup"}', 'a.json is a backup: restore it in Settings'],
    ['{"format":"tarvin-edition"}', 'a.json is an edition of a build: open it in that build’s Compare'],
    ['{"format":', 'is not JSON'],
  ])('%s is not opened here: %s', async (text, reason) => {
    await expect(openTarvinFile(text, 'a.json')).rejects.toThrow(reason)
    expect(sent).toEqual([])
  })
})

import { describe, expect, test } from 'vitest'
import { findAmounts, marksOf } from '#core/reading/amounts/findAmounts'
import { dayFirstOf, findDate } from '#core/reading/dates/findDate'
import { classifyLine } from '#core/reading/sales/lines/classifyLine'
import { groupTitles } from '#core/reading/sales/groupTitles'
import { stateOfTitle, worse } from '#core/reading/sales/stateOf'

const today = '2026-10-31'
const read = (line: string, home = 'CAD', paste = line) =>
  findAmounts(line, home, marksOf(paste)).map(({ value, currency, sign }) => [value, currency ?? sign])

describe('amounts in the manners of five countries', () => {
  test.each<[string, string, string | null, string | null]>([
    ['$91.00', 'CAD', '91.00', 'CAD'],
    ['CA$91', 'CAD', '91.00', 'CAD'],
    ['C $128.00', 'CAD', '128.00', 'CAD'],
    ['91,00 €', 'EUR', '91.00', 'EUR'],
    ['1.150,00 €', 'EUR', '1150.00', 'EUR'],
    ['1.250 €', 'EUR', '1250.00', 'EUR'],
    ['4 200 kr', 'SEK', '4200.00', 'SEK'],
    ['450:-', 'SEK', '450.00', 'SEK'],
    ['£95', 'GBP', '95.00', 'GBP'],
    ['95 GBP', 'CAD', '95.00', 'GBP'],
    ['85$', 'CAD', '85.00', 'CAD'],
    ['¥12,480', 'JPY', '12480', 'JPY'],
    ['USD 1,234.50', 'CAD', '1234.50', 'USD'],
  ])('%s in %s: %s %s', (line, home, amount, currency) =>
    expect(read(line, home)[0]).toEqual([amount, currency]),
  )

  test('a space groups thousands only at the start: the model is not part of the price', () => {
    expect(read('Stook 640 450 kr', 'SEK').at(-1)).toEqual(['450.00', 'SEK'])
  })

  test('three digits behind a mark that parts decimals elsewhere are not settled', () => {
    const [amount] = findAmounts('1.250 €', 'EUR', marksOf('1.250 €\n12.50 €'))
    expect(amount!.value).toBeNull()
  })

  test.each([
    ['yours for $15', '15.00 CAD'],
    ['it costs $15', '15.00 CAD'],
    ['a $15 card', '15.00 CAD'],
    ['R$ 15', '15.00 BRL'],
    ['AU $15', '15.00 AUD'],
    ['A$15', '15.00 AUD'],
  ])('%s: a sign begins a word of its own, %s', (line, wanted) =>
    expect(read(line).map((amount) => amount.join(' '))).toEqual([wanted]),
  )
  test.each([['650 W'], ['16 GB'], ['3200 MHz'], ['120 mm'], ['60 fps'], ['14 bids']])(
    '%s is no money',
    (line) => expect(read(line)).toEqual([]),
  )

  test('a sign that the home currency does not use is not settled', () => {
    expect(findAmounts('$91', 'EUR', marksOf('$91'))[0]).toMatchObject({ currency: null, sign: '$' })
    expect(findAmounts('450 kr', 'EUR', marksOf('450 kr'))[0]).toMatchObject({ currency: null, sign: 'kr' })
  })
})

describe('days in five languages', () => {
  test.each([
    ['2026-10-03', '2026-10-03'],
    ['4 May 2026', '2026-05-04'],
    ['May 4', '2026-05-04'],
    ['Sold Dec 4', '2025-12-04'],
    ['4.5.26', '2026-05-04'],
    ['04.05.2026', '2026-05-04'],
    ['Verkauft am 3. März 2026', '2026-03-03'],
    ['Vendu le 3 août', '2026-08-03'],
    ['Vendido el 28 de octubre de 2026', '2026-10-28'],
    ['Såld 28 okt 14:31', '2026-10-28'],
    ['yesterday', '2026-10-30'],
    ['3 days ago', '2026-10-28'],
    ['vor 2 Wochen', '2026-10-17'],
    ['il y a 5 jours', '2026-10-26'],
    ['för 3 dagar sedan', '2026-10-28'],
    ['hace 4 días', '2026-10-27'],
    ['23/10/2026', '2026-10-23'],
    ['10/23/2026', '2026-10-23'],
  ])('%s is %s', (text, date) => expect(findDate(text, { today })?.date).toBe(date))

  test.each([
    ['04/05/2026', 'ambiguous'],
    ['4 May 2027', 'future-date'],
    ['31.02.2026', 'bad-date'],
  ])('%s: %s', (text, problem) => expect(findDate(text, { today })).toMatchObject({ date: null, problem }))

  test.each([['14:31'], ['Quill 70 8GB'], ['3.5 inch'], ['no day at all'], ['PCIe 4.0']])(
    '%s holds no day',
    (text) => expect(findDate(text, { today })).toBeNull(),
  )

  test('one clear day settles its column, both ways', () => {
    expect(dayFirstOf(['04/05/2026', '23/05/2026'], today)).toBe(true)
    expect(dayFirstOf(['04/05/2026', '05/23/2026'], today)).toBe(false)
    expect(dayFirstOf(['04/05/2026', '06/05/2026'], today)).toBeUndefined()
    expect(findDate('04/05/2026', { today, dayFirst: true })?.date).toBe('2026-05-04')
    expect(findDate('04/05/2026', { today, dayFirst: false })?.date).toBe('2026-04-05')
  })
})

describe('lines of a page', () => {
  const kind = (line: string) =>
    classifyLine(line, 1, { today, home: 'CAD', marks: marksOf(line), dayFirst: undefined }).kind
  test.each([
    ['C $91.00', 'price'],
    ['+C $4.00 shipping', 'shipping'],
    ['Free shipping', 'shipping'],
    ['Sold Oct 3, 2026', 'date'],
    ['STOOK 640 S SOLD AS IS free cable', 'title'],
    ['Harrow Quill 70 8GB works great', 'title'],
  ])('%s is a %s', (line, expected) => expect(kind(line)).toBe(expected))
})

describe('states by words', () => {
  test.each([
    ['Quill 70 brand new sealed', 'new'],
    ['Quill 70 open box', 'opened'],
    // of a title alone only what can mean nothing else: used is what a thing is anyway
    ['Quill 70 like new', null],
    ['Quill 70 neuwertig', null],
    ['Quill 70 refurbished', 'refurbished'],
    ['Quill 70 for parts', 'damaged'],
    ['Quill 70 no damage', null],
    ['Quill 70 bent pins fixed', null],
    ['Quill 70', null],
  ] as const)('%s: %s', (title, state) => expect(stateOfTitle(title)).toBe(state))

  test('field and title differ: the worse one', () => {
    expect(worse('new', 'used')).toBe('used')
    expect(worse('damaged', 'used')).toBe('damaged')
    expect(worse(null, 'opened')).toBe('opened')
    expect(worse(null, null)).toBeNull()
  })
})

test('titles of one thing in different words are one group, two sizes are two', () => {
  const groups = groupTitles([
    'Harrow Quill 70 8GB graphics card works',
    'Quill 70 8GB Harrow, tested',
    'Harrow Quill 70 8 GB boxed',
    'Corrie Anvil 650W power supply',
    'Corrie Anvil 650 W gold psu',
    'Anvil 650W Corrie modular power supply',
  ])
  expect(groups.map(({ at }) => at.length).sort()).toEqual([3, 3])
  expect(groups.map(({ role }) => role).sort()).toEqual(['graphics', 'supply'])
})

test('the watts of a supply with and without their letter are one number of its model', () => {
  const [group] = groupTitles([
    'Larkspur 750 Gold power supply',
    'Larkspur 750W Gold',
    'Larkspur 750 PSU boxed',
  ])
  expect(group).toMatchObject({ name: 'Larkspur 750', role: 'supply', at: [0, 1, 2] })
})

test('a model without a figure is the word before its size; a standard or a timing is no model', () => {
  const drives = ['Dab 1TB NVMe SSD', 'Dab 1TB NVMe Gen3', 'Fathom Dab 1TB M.2', 'Dab 1TB NVMe Gen3']
  const kits = ['Skua 32GB CL30 kit', 'Skua 32GB CL30', 'Skua 32GB DDR5 CL30']
  expect(groupTitles([...drives, ...kits]).map(({ name, role, at }) => [name, role, at.length])).toEqual([
    ['Dab 1 TB', 'storage', 4],
    ['Skua 32 GB', 'memory', 3],
  ])
})

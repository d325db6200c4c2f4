import Papa from 'papaparse'
import { describe, expect, test } from 'vitest'
import { editionDrift, type EditionContent, type EditionLine } from '#core/files/editions/edition'
import { editionCsv, editionHtml, editionJson, editionMarkdown } from '#core/files/editions/editionText'
import { listingText } from '#core/files/editions/listingText'
import type { editionReaders } from '#core/files/editions/readers'
import { editionTables } from '#core/files/editions/readers'

const line = (id: string, payNow: number, change: Partial<EditionLine> = {}): EditionLine => ({
  label: id,
  parts: [{ id, make: '', name: id, role: 'cpu' }],
  scope: 'core machine',
  source: 'Barnstall',
  kind: 'lead',
  payNow,
  isPaid: false,
  anyoneCanPay: payNow + 100,
  reason: '',
  ...change,
})
const edition = (lines: readonly EditionLine[], change: Partial<EditionContent> = {}): EditionContent => ({
  format: 'tarvin-edition',
  version: '1',
  name: 'Couch',
  purpose: '',
  saleText: '',
  currency: 'CAD',
  region: '',
  frozenOn: '2026-10-31',
  lines,
  totals: {
    payNow: lines.reduce((sum, each) => sum + (each.payNow ?? 0), 0),
    afterRebates: 0,
    expected: 0,
    anyoneCanPay: 0,
    unknownStreet: 0,
    budget: 62_000,
  },
  targets: [
    {
      name: 'Drift 1440p high',
      wanted: 60,
      wantedLow: 45,
      averageFps: 72,
      range: { low: 66, high: 78 },
      lowFps: 56,
      isMeasured: false,
      verdict: 'met',
    },
  ],
  weighing: {
    years: 3,
    machines: [
      { name: 'Couch', steps: [{ id: 'price', label: 'price', amount: 100 }], total: 100 },
      { name: 'Box', steps: [{ id: 'tax', label: 'tax', amount: 13 }], total: 13 },
    ],
    verdicts: ['Build it.'],
  },
  findings: [],
  openQuestions: ['Is the I/O shield included?'],
  ...change,
})

describe('editionDrift', () => {
  test('the same, dearer, cheaper, gone and added, whatever the lines are called', () => {
    const drift = editionDrift(
      edition([line('a', 100), line('b', 100), line('c', 100), line('d', 100)]),
      edition([line('b', 120), line('a', 100, { label: 'another name' }), line('c', 90), line('e', 50)]),
    )
    expect(drift.lines.map((each) => [each.label, each.change])).toEqual([
      ['another name', 'same'],
      ['b', 'dearer'],
      ['c', 'cheaper'],
      ['d', 'gone'],
      ['e', 'added'],
    ])
    expect(drift.totals[0]).toEqual({ name: 'total', before: 400, after: 360 })
  })
  test('two of the same part are two lines', () => {
    const drift = editionDrift(edition([line('a', 100), line('a', 110)]), edition([line('a', 100)]))
    expect(drift.lines.map((each) => each.change)).toEqual(['same', 'gone'])
  })
  test('nothing has changed from an edition to itself', () => {
    const same = edition([line('a', 100), line('b', 200)])
    const drift = editionDrift(same, same)
    expect(drift.lines.every((each) => each.change === 'same')).toBe(true)
    expect(drift.totals.every((total) => total.before === total.after)).toBe(true)
  })
  test('amounts in two currencies are not held against each other', () => {
    const drift = editionDrift(edition([line('a', 100)]), edition([line('a', 750)], { currency: 'SEK' }))
    expect(drift).toMatchObject({
      currencies: { before: 'CAD', after: 'SEK' },
      totals: [],
      lines: [{ change: 'same' }],
    })
  })
})

describe('an edition shared', () => {
  const nasty = edition([line('=HYPERLINK("x")', 100, { reason: 'a | b <b>', isPaid: true })], {
    name: '<img src=x onerror=alert(1)>',
  })
  test('CSV reads back line by line, and no cell is a formula', () => {
    const { data } = Papa.parse<string[]>(editionCsv(nasty), { skipEmptyLines: true })
    expect(data).toHaveLength(2)
    expect(data[1]![0]!.startsWith('=')).toBe(false)
    expect(data[1]!.slice(5, 9)).toEqual(['1.00', '1.00', '2.00', 'CAD'])
  })
  test('HTML loads nothing, runs nothing, and shows paid beside anyone can pay', () => {
    const html = editionHtml(nasty)
    expect(html).not.toMatch(/<img|<script|<[^>]*\b(src|href)=|url\(/)
    expect(html).toContain('&lt;img')
    expect(html).toContain("default-src 'none'")
    expect(html).toMatch(/<th class="f">paid<\/th><th class="f">total<\/th><th class="f">market price<\/th>/)
  })
  test('Markdown keeps its tables whole', () => {
    const rows = editionMarkdown(nasty)
      .split('\n')
      .filter((row) => row.startsWith('| '))
    const columns = rows.map((row) => row.replace(/\\\|/g, '').split('|').length)
    expect(columns[0]).toBe(columns[2])
    expect(editionMarkdown(nasty)).toContain('a \\| b \\<b\\>')
  })
  test('the steps of all machines stand in one table, a dash where a machine has none; empty tables are left out', () => {
    const titles = editionTables(nasty).map((table) => table.title)
    expect(titles).toEqual([
      'Open questions',
      'Parts',
      'Totals',
      'Performance',
      'Cost of ownership over 3 years',
    ])
    expect(editionTables(nasty)[4]!.rows).toEqual([
      ['price', '1.00', '—'],
      ['tax', '—', '0.13'],
      ['like for like', '1.00', '0.13'],
    ])
    expect(
      editionTables(edition([line('a', 1)], { weighing: { years: 3, machines: [], verdicts: [] } })).some(
        (table) => table.title.startsWith('What it takes'),
      ),
    ).toBe(false)
  })
})

describe('three readers', () => {
  const street = {
    patient: 9100,
    typical: 10_300,
    hurried: 11_900,
    count: 23,
    from: '2026-09-02',
    to: '2026-10-29',
    manners: ['auction'],
    words: ['tarn', '640'],
  }
  const told = edition(
    [
      line('tarn', 8777, {
        parts: [{ id: 'tarn', make: 'Corvane', name: 'Tarn 640', role: 'graphics', street }],
        condition: 'used',
        state: 'works, ran for an hour',
        link: 'https://pantry.test/tarn',
        reason: 'bought low, sells for more',
        codes: [{ word: 'SEVEN', takesOff: '7 %', lastDay: '2026-11-03' }],
        rebates: [{ kind: 'mail-in', amount: 1555, lastDay: '2026-12-01' }],
      }),
      line('plinth', 12_345, {
        parts: [{ id: 'plinth', make: 'Gantry', name: 'Plinth', role: 'memory', street }],
        source: 'Anvil shop',
        condition: 'new',
      }),
      line('riser', 4321, { scope: 'test-only' }),
    ],
    {
      purpose: 'to be sold on, at least 66.60 an hour',
      saleText: 'A quiet machine.',
      region: 'Marrow Quay',
      weighing: {
        years: 3,
        machines: [{ name: 'Box', steps: [{ id: 'price', label: 'price', amount: 99_100 }], total: 99_100 }],
        verdicts: ['Build it: it costs 199.90 less.'],
      },
      openQuestions: ['Was it mined with?'],
    },
  )
  const every = (reader: (typeof editionReaders)[number]) =>
    [editionHtml, editionMarkdown, editionCsv, editionJson].map((form) => form(told, reader))

  test('a buyer reads what is in it and how fast it is: no amount, source, budget, reason or purpose in any form', () => {
    const secrets = [
      ...['87.77', '123.45', '43.21', '91.00', '103.00', '199.90', '66.60', '991.00', '620.00', '15.55'],
      ...['8777', '12345', '62000', 'Barnstall', 'Anvil shop', 'Marrow Quay', 'SEVEN', 'pantry', 'sold on'],
      ...['bought low', 'Was it mined', 'riser'],
    ]
    for (const text of every('buyer')) {
      for (const secret of secrets) expect(text).not.toContain(secret)
      expect(text).toContain('Tarn 640')
      expect(text).toContain('works, ran for an hour')
    }
    expect(editionHtml(told, 'buyer')).toContain('A quiet machine.')
    expect(editionHtml(told, 'buyer')).toContain('72 estimated')
  })

  test('who repeats it reads marks with what they rest on, words, codes with their last day, and what was luck', () => {
    const html = editionHtml(told, 'repeater')
    for (const words of ['91.00', '103.00', '119.00', '23, 2026-09-02 to 2026-10-29', 'tarn 640'])
      expect(html).toContain(words)
    expect(html).toContain('SEVEN (7 %, until 2026-11-03)')
    expect(html).toContain('15.55 mail-in, claim by 2026-12-01')
    const tables = editionTables(told, 'repeater')
    // 91.00 − 87.77
    expect(tables.find(({ title }) => title === 'Lucky finds')!.rows).toEqual([['Corvane Tarn 640', '3.23']])
    // by shop
    expect(tables.find(({ title }) => title.startsWith('Where to buy'))!.rows.map(([shop]) => shop)).toEqual([
      'Anvil shop',
      'Barnstall',
      'Barnstall',
    ])
    const { data } = Papa.parse<Record<string, string>>(editionCsv(told, 'repeater'), {
      header: true,
      skipEmptyLines: true,
    })
    expect(data[0]).toMatchObject({ name: 'Tarn 640', typical: '103.00', sales: '23', 'my price': '87.77' })
    expect(html).not.toContain('620.00')
  })

  test('an adviser reads what is open first, then where money might be saved, then all of it', () => {
    const [first, second] = editionTables(told)
    expect(first).toMatchObject({ title: 'Open questions', rows: [['Was it mined with?']] })
    // 123.45 − 103.00; what is under the typical mark saves nothing
    expect(second).toMatchObject({
      title: 'Where you could save',
      rows: [['plinth', '123.45', '103.00', '20.45']],
    })
    expect(editionMarkdown(told)).toContain('620.00')
    // what is paid cannot be saved on any more
    const paid = edition([{ ...told.lines[1]!, isPaid: true }])
    expect(editionTables(paid).some(({ title }) => title.startsWith('Where money'))).toBe(false)
  })

  test('what has no price is not known, never 0.00', () => {
    const unknown = edition([line('a', 100, { payNow: null })], {
      totals: { ...told.totals, payNow: null, afterRebates: null, expected: null },
    })
    expect(editionMarkdown(unknown)).toContain('| total | not known |')
    expect(editionCsv(unknown)).toContain('a,cpu,core machine,lead,Barnstall,,,2.00')
    expect(editionDrift(unknown, edition([line('a', 100)])).lines[0]!.change).toBe('same')
  })

  test('the text of a listing: the buyer’s things in the order of the roles, speed, faults said openly, no amount', () => {
    const offered = edition(
      [
        ...told.lines,
        line('lull', 1900, {
          parts: [{ id: 'lull', make: '', name: 'Lull 120', role: 'cooler' }],
          condition: 'used',
          state: 'faulty',
        }),
      ],
      { saleText: 'A quiet machine.' },
    )
    expect(listingText(offered)).toBe(
      [
        'Couch',
        'A quiet machine.',
        '',
        'Parts',
        'Memory: Gantry Plinth, new',
        'Graphics card: Corvane Tarn 640, used, works, ran for an hour',
        'Cooler: Lull 120, used',
        '',
        'Performance',
        'Drift 1440p high: 72 fps, 1 % low 56, estimated',
        '',
        'Known faults',
        'Cooler: Lull 120: faulty',
      ].join('\n'),
    )
    expect(listingText(edition([], { targets: [] }))).toBe('Couch')
  })
})

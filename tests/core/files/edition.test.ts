import Papa from 'papaparse'
import { describe, expect, test } from 'vitest'
import { editionDrift, type EditionContent, type EditionLine } from '#core/files/editions/edition'
import { editionCsv, editionHtml, editionMarkdown, editionTables } from '#core/files/editions/editionText'

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
    payNow: lines.reduce((sum, each) => sum + each.payNow, 0),
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
  openQuestions: ['Is the shield there?'],
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
    expect(drift.totals[0]).toEqual({ name: 'pay now', before: 400, after: 360 })
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
    expect(html).toMatch(
      /<th class="f">paid<\/th><th class="f">pay now<\/th><th class="f">anyone can pay<\/th>/,
    )
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
      'What is in it',
      'Totals',
      'How fast',
      'What it takes to own, over 3 years',
      'Open questions',
    ])
    expect(editionTables(nasty)[3]!.rows).toEqual([
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

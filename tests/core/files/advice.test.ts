import { describe, expect, test } from 'vitest'
import { adviceSheet } from '#core/files/advice/adviceSheet'
import { readAdvice } from '#core/files/advice/readAdvice'
import type { EditionContent } from '#core/files/editions/edition'
import { partNamed } from '#core/parts/partNamed'

const line = (name: string, payNow: number | null) => ({
  label: `a lead: ${name}`,
  parts: [{ id: name, make: 'Murrowdun', name, role: 'graphics' }],
  payNow,
})
const edition = {
  name: 'Couch corner',
  frozenOn: '2026-10-31',
  currency: 'CAD',
  lines: [line('Tarn 640 8 GB', 13_800), line('Lull 120', null)],
} as unknown as EditionContent
const filled = (change: (sheet: string) => string) => readAdvice(change(adviceSheet(edition)))

describe('a sheet of advice', () => {
  test('names every line with its price, and comes back as it was written', () => {
    expect(adviceSheet(edition)).toContain(
      '1. Murrowdun Tarn 640 8 GB (138.00 CAD)\n   remark:\n   instead:\n',
    )
    expect(adviceSheet(edition)).toContain('2. Murrowdun Lull 120 (price not known)')
    expect(
      filled((sheet) =>
        sheet
          .replace('From:', 'From: Ottilie')
          .replace('   remark:', '   remark: too dear for what it does')
          .replace('   instead:', '   instead: Tarn 620 8 GB'),
      ),
    ).toEqual({
      by: 'Ottilie',
      remarks: [
        { line: 'Murrowdun Tarn 640 8 GB', remark: 'too dear for what it does', instead: 'Tarn 620 8 GB' },
      ],
    })
  })
  test.each([
    ['quoted by a mail program', (sheet: string) => sheet.replace(/^/gm, '> ')],
    [
      'quoted twice, with other line ends',
      (sheet: string) => sheet.replace(/^/gm, '> > ').replace(/\n/g, '\r\n'),
    ],
    ['with words above and below', (sheet: string) => `Hi,\nhere it is.\n\n${sheet}\n--\nO.`],
    ['without its indents', (sheet: string) => sheet.replace(/^ +/gm, '')],
  ])('is read %s', (_, mailed) => {
    const { remarks } = filled((sheet) =>
      mailed(sheet.replace('   instead:', '   instead: Tarn 620 8 GB,\n   the used one')),
    )
    expect(remarks[0]).toEqual({
      line: 'Murrowdun Tarn 640 8 GB',
      remark: '',
      instead: 'Tarn 620 8 GB, the used one',
    })
  })
  test('L17: a name under a quoted From: signs it', () => {
    const said = (sheet: string) => sheet.replace('From:', 'From:\n> Ottilie')
    expect(filled((sheet) => `${said(sheet).trimEnd()} wait\n`).by).toBe('Ottilie')
  })
  test('what is said of all of it belongs to no line', () => {
    const { by, remarks } = filled((sheet) => `${sheet.trimEnd()} wait for spring\n`)
    expect([by, remarks]).toEqual(['', [{ line: '', remark: 'wait for spring', instead: '' }]])
  })
  test.each([
    ['an empty sheet', adviceSheet(edition), 'this sheet is empty'],
    ['a novel', 'It was a dark night.\nremark: it rained.\n'.repeat(50), 'this is not an advice sheet'],
    ['nothing', '', 'this is not an advice sheet'],
  ])('%s is refused in words', (_, text, words) => {
    expect(() => readAdvice(text)).toThrow(words)
  })
})

test('the part that a sentence names: the longest name in it', () => {
  const parts = ['Tarn 640 8 GB', 'Tarn 640 S 8 GB', 'Lull', 'Lull 120'].map((name) => ({
    id: name,
    make: 'Murrowdun',
    name,
  }))
  const named = (text: string) => partNamed(text, parts)?.id ?? null
  expect([
    named('the Tarn 640 8GB, about 120 used'),
    named('tarn 640s 8 gb'),
    named('a LULL-120 is enough'),
    named('lull them to sleep'),
    named('another one'),
  ]).toEqual(['Tarn 640 8 GB', 'Tarn 640 S 8 GB', 'Lull 120', null, null])
})

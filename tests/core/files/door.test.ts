import { describe, expect, test } from 'vitest'
import { readDoorNote } from '#core/files/door/doorNote'
import { doorPage } from '#core/files/door/doorPage'
import { doorKey, doorTable } from '#core/supply/door/doorTable'
import { readFacts, seenAtTheDoor } from '#core/reading/listings/completeness'

describe('what each answer makes of a lead', () => {
  test('every set of answers once, what nobody knows left out', () => {
    const rows = doorTable(['works', 'fans'], (answers) => JSON.stringify(answers))
    expect(Object.keys(rows)).toHaveLength(9)
    expect([rows.uu, rows.yn, rows[doorKey(['no', 'unknown'])]]).toEqual([
      '{}',
      '{"works":"yes","fans":"no"}',
      '{"works":"no"}',
    ])
    expect(doorTable([], () => 1)).toEqual({ '': 1 })
  })

  test('answers that change a figure come first; what the builder knows is not asked', () => {
    const facts = readFacts(['graphics'], 'works fine', { 'card-fans': 'yes' })
    const { telling, others } = seenAtTheDoor(facts)
    expect(telling.map(({ key }) => key)).toEqual(['works', 'card-mining'])
    expect(others.map(({ key }) => key)).toContain('card-paste')
  })
})

describe('the note that comes back', () => {
  test('however a mail program quoted it', () => {
    const text = [
      'Hello, here it is:',
      '> Seen at the door: Tarn 640',
      '> lead: tarn-1',
      '>  works: Yes',
      '> card-fans: no',
      '> asked: 120,50',
      '> note: he has two: one is louder',
      '> looked at: all fans turn; name as found',
      '> weather: rain',
    ].join('\r\n')
    expect(readDoorNote(text)).toEqual({
      leadId: 'tarn-1',
      answers: { works: 'yes', 'card-fans': 'no' },
      asked: '120,50',
      note: 'he has two: one is louder',
      looked: ['all fans turn', 'name as found'],
    })
  })

  test.each(['', 'lead: tarn-1\nworks: yes', 'Seen at the door: Tarn 640\nworks: yes', 'x'.repeat(50_000)])(
    'anything else is refused in words: %.30s',
    (text) => expect(() => readDoorNote(text)).toThrow('this is not an on-site note'),
  )
})

test('a page of a hostile listing holds no markup of it, and asks nobody for anything', () => {
  const nasty = '</script><img src=x onerror=alert(1)>"'
  const html = doorPage({
    leadId: nasty,
    title: nasty,
    seller: nasty,
    currency: 'CAD',
    digits: 2,
    price: '100.00',
    today: '2026-10-31',
    telling: [{ key: 'works', question: nasty, said: nasty, isTold: false }],
    others: [],
    rows: { u: { expected: '1', worth: '1', most: null, mostShown: nasty, advice: nasty } },
    checks: [{ name: nasty, lines: [nasty] }],
    note: nasty,
  })
  expect(html).not.toContain('<img')
  expect(html.match(/<\/script>/g)).toHaveLength(1)
  expect(html).not.toMatch(/https?:|src=(?!x)|href=/)
})

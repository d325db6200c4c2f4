import { describe, expect, test } from 'vitest'
import { gapQuestion, gapsOf, isPlausible } from '#core/parts/openPart'
import type { Part } from '#core/parts/part'
import { openFacts } from '#core/reading/listings/openFacts'

const part = (id: string, facts: Part['facts'], more: Partial<Part> = {}): Part => ({
  id,
  role: 'cpu',
  make: 'Linnet',
  name: id,
  facts,
  ...more,
})
const some = part('some', { cores: 4, socket: 'LN-4' }, { open: true })

describe('an open part', () => {
  test.each([
    ['the same cores, the same socket in another spelling', part('a', { cores: 4, socket: 'ln4' }), true],
    ['nothing known of it', part('b', {}), true],
    ['other cores', part('c', { cores: 6, socket: 'LN-4' }), false],
    ['another socket', part('d', { cores: 4, socket: 'QX-2' }), false],
    ['another role', part('e', { cores: 4 }, { role: 'graphics' }), false],
    ['open itself', part('f', { cores: 4 }, { open: true }), false],
    ['itself', some, false],
  ])('may be one of %s: %#', (_, other, is) => expect(isPlausible(some, other)).toBe(is))
  test('lists: all that is stated must be there', () => {
    const box = (boardSizes: string[], open = false) => part('box', { boardSizes }, { role: 'case', open })
    const any = { ...box(['mATX'], true), id: 'any' }
    expect(isPlausible(any, box(['ATX', 'm-ATX']))).toBe(true)
    expect(isPlausible(any, box(['ATX']))).toBe(false)
  })
  test('each gap is a question; one that was answered is none any more', () => {
    expect(gapsOf(part('x', { cores: 4 }))).toEqual(['model', 'socket'])
    expect(gapQuestion('CPU', 'model')).toBe('Which CPU is it exactly?')
    expect(gapQuestion('CPU', 'socket')).toBe('What is its socket?')
    const facts = openFacts([some, part('known', {})], { 'which-some-model': 'yes' })
    expect(facts.map(({ key, state, question }) => [key, state, question])).toEqual([
      ['which-some-model', 'stated', 'Which CPU is it exactly?'],
    ])
  })
})

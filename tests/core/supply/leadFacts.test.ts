import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  faultFactorOf,
  questionsOf,
  readFacts,
  shareLeft,
  wantedFacts,
} from '#core/reading/listings/completeness'
import { roles } from '#core/parts/part'

const factOf = (key: string, text: string, answers = {}, isNew = false) =>
  readFacts(roles, text, answers, isNew).find((fact) => fact.key === key)!
const standing = (key: string, text: string) => {
  const { state, answer } = factOf(key, text)
  return `${state} ${answer ?? '-'}`
}

describe('facts of a lead', () => {
  test.each([
    ['board-shield', 'comes with shield and box', 'stated yes'],
    ['board-shield', 'sorry, missing the shield', 'stated no'],
    ['board-shield', 'shield included ... edit: no shield', 'contradictory -'],
    ['board-shield', 'great board', 'missing -'],
    ['works', 'fully tested and working', 'stated yes'],
    ['works', 'untested, sold as is', 'stated no'],
    ['works', 'works great, but sold as is', 'contradictory -'],
    ['card-mining', 'never mined', 'stated yes'],
    ['card-mining', 'ex-mining card, runs cool', 'stated no'],
    ['supply-age', 'three years old', 'stated yes'],
    ['supply-leads', 'all cables in the bag', 'stated yes'],
    ['supply-leads', 'some leads are missing', 'stated no'],
    ['case-whole', 'front panel cracked? no: side panel is cracked', 'contradictory -'],
    ['donor-firmware', 'bios password set, do not know it', 'stated no'],
    ['donor-firmware', 'no bios password', 'stated yes'],
    ['drive-wear', '12000 hours, health 96 %', 'stated yes'],
  ])('%s in “%s”: %s', (key, text, expected) => expect(standing(key, text)).toBe(expected))

  test('the builder’s own answer holds over the text; a new thing is deduced to be whole', () => {
    expect(factOf('board-shield', 'missing the shield', { 'board-shield': 'yes' })).toMatchObject({
      state: 'stated',
      answer: 'yes',
      by: 'builder',
    })
    expect(factOf('board-shield', 'a board', {}, true)).toMatchObject({
      state: 'deduced',
      answer: 'yes',
      by: 'silence',
    })
  })

  test('what is wanting lowers the worth; silence does where a no is plausible', () => {
    // supply: age not told 8 % less; leads missing 25 % less: 0.92 · 0.75
    expect(shareLeft(readFacts(['supply'], 'missing leads'), 'supply')).toBeCloseTo(0.69, 12)
    expect(shareLeft(readFacts(['supply'], 'all leads there, bought 2023'), 'supply')).toBe(1)
    // a card's fans are not taken to be dead because nobody speaks of them
    expect(shareLeft(readFacts(['graphics'], ''), 'graphics')).toBe(1)
    expect(faultFactorOf(readFacts(['graphics'], 'ex-mining, as-is'), 'graphics')).toBeCloseTo(2.25, 12)
  })

  test('an answer never makes a lead worth less than the other answer', () => {
    fc.assert(
      fc.property(fc.constantFrom(...wantedFacts), fc.string(), ({ key, role }, text) => {
        const of = (answer: 'yes' | 'no') => readFacts(roles, text, { [key]: answer })
        const each = role === 'any' ? 'cpu' : role
        expect(shareLeft(of('yes'), each)).toBeGreaterThanOrEqual(shareLeft(of('no'), each))
        expect(faultFactorOf(of('yes'), each)).toBeLessThanOrEqual(faultFactorOf(of('no'), each))
      }),
    )
  })

  test('questions: contradictions first, then the costliest, six at most', () => {
    expect(questionsOf(readFacts(['supply'], 'works. all leads there, some leads are missing'))).toEqual([
      'Are all cables included?',
      'How old is it?',
      'Why are you selling it?',
    ])
    expect(questionsOf(readFacts(roles, ''))).toHaveLength(6)
    expect(
      questionsOf(readFacts(['cpu'], '', Object.fromEntries(wantedFacts.map(({ key }) => [key, 'no'])))),
    ).toEqual([])
  })
})

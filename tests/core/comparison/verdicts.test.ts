import fc from 'fast-check'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import { tippingPoint } from '#core/comparison/tipping/tipping'
import { weigh } from '#core/comparison/weigh'
import { verdictText } from '#core/comparison/verdict/verdict'
import { playStyles, type PlayStyle } from '#core/comparison/verdict/playStyles'
import type { WeighedMachine, WeighingTerms } from '#core/comparison/weighedMachine'
import { machine, rate, terms, workload } from './machines'
import { situations } from './situations'

/** `verdicts.txt` is to be read by people: what is said in every situation. `TARVIN_VERDICTS=write` writes it anew. */
const file = join(import.meta.dirname, 'verdicts.txt')
const sentences = (text: string) => text.split(/(?<=\.) (?=[A-Z])/)

describe('the verdict in words', () => {
  const list = situations()
  test('every situation says what the text file has it say', () => {
    const text = `${list.join('\n\n')}\n`
    if (process.env.TARVIN_VERDICTS === 'write') writeFileSync(file, text)
    expect(text).toBe(readFileSync(file, 'utf8'))
    expect(list.length).toBeGreaterThanOrEqual(80)
    expect(new Set(list.map((each) => each.split('\n')[0])).size).toBe(list.length)
  })

  test.each(list.map((each) => each.split('\n  ') as [string, string]))(
    '%s: at most three sentences, whole and in order',
    (_, text) => {
      const said = sentences(text)
      expect(said.length).toBeLessThanOrEqual(3)
      expect(said[0]).toMatch(
        /^(Too close to call|Build it|(Buy|Keep) Brindlewick 5|Neither wins|No verdict yet): over \d years?, /,
      )
      expect(said.filter((each) => each.startsWith('Not known:')).length).toBeLessThanOrEqual(1)
      // nothing glued in brackets, no plural of one, no double blanks, no figure that came out wrong
      expect(text).not.toMatch(
        /[()[\]]|\b1 (targets|workloads|years|modes)\b| {2}|NaN|undefined|null|\.\.|,,| ,/,
      )
    },
  )
})

describe('who wins, told from both sides', () => {
  const styles = Object.keys(playStyles) as PlayStyle[]
  const one = (id: string, price: number, fps: number) =>
    machine({
      id,
      name: id,
      kind: 'prebuilt',
      price,
      rates: [rate('a', fps, '1920x1080 high', fps * 0.7)],
      targets: [{ name: 't', verdict: fps >= 60 ? 'met' : 'missed' }],
    })
  const weighed = (
    own: WeighedMachine,
    other: WeighedMachine,
    style: PlayStyle,
    by: Partial<WeighingTerms> = {},
  ) =>
    weigh(own, other, {
      terms: terms(by),
      style,
      workloads: [workload],
      ownFrames: null,
      equivalents: [],
      formatMoney: String,
    }).verdict

  test('swapped machines swap the sentence: what was to be built is to be bought, for the same money', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20_000, max: 90_000 }),
        fc.integer({ min: 20_000, max: 90_000 }),
        fc.integer({ min: 20, max: 200 }),
        fc.integer({ min: 20, max: 200 }),
        fc.constantFrom(...styles),
        (price, otherPrice, fps, otherFps, style) => {
          const [a, b] = [one('Ash', price, fps), one('Birch', otherPrice, otherFps)]
          const [there, back] = [weighed(a, b, style), weighed(b, a, style)]
          const swapped = { own: 'other', other: 'own', depends: 'depends' } as const
          expect(back.winner).toBe(swapped[there.winner])
          const gap = String(Math.abs(price - otherPrice))
          if (there.winner === 'own') {
            expect(verdictText(there)).toContain('Build it: ')
            expect(verdictText(back)).toContain('Buy Ash: ')
          }
          // both name the same gap and, where it depends, the same cheaper and faster machine
          if (price !== otherPrice) for (const said of [there, back]) expect(verdictText(said)).toContain(gap)
          if (there.winner === 'depends')
            expect(verdictText(back).split(',')[2]).toBe(verdictText(there).split(',')[2])
        },
      ),
      { numRuns: 300 },
    )
  })

  test('a figure told as the turn turns the verdict; one unit nearer to today it stays', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30_000, max: 90_000 }),
        fc.integer({ min: 30_000, max: 90_000 }),
        fc.integer({ min: 40, max: 120 }),
        fc.integer({ min: 40, max: 120 }),
        fc.constantFrom(...styles),
        fc.constantFrom('price', 'years', 'hours'),
        (price, otherPrice, fps, otherFps, style, what) => {
          const watts = (full: number) => ({ watts: { full, idle: 40, kind: 'stated' as const } })
          const own = { ...one('Ash', price, fps), ...watts(300), resaleToday: 30_000 }
          const other = { ...one('Birch', otherPrice, otherFps), ...watts(120), resaleToday: 10_000 }
          const [figure, at] = {
            price: [
              { now: price, range: { from: 0, to: 200_000 }, unit: 1 },
              (value: number) => weighed({ ...own, price: value }, other, style),
            ] as const,
            years: [
              { now: 3, range: { from: 0.5, to: 10 }, unit: 0.1 },
              (value: number) => weighed(own, other, style, { years: value }),
            ] as const,
            hours: [
              { now: 2, range: { from: 0, to: 16 }, unit: 0.1 },
              (value: number) => weighed(own, other, style, { fullHours: value }),
            ] as const,
          }[what as 'price']
          const now = at(figure.now).winner
          const { below, above } = tippingPoint((value) => at(value).winner, figure)
          for (const [turn, step] of [
            [below, figure.unit],
            [above, -figure.unit],
          ] as const) {
            if (!turn) continue
            expect(at(turn.value).winner).toBe(turn.winner)
            expect(turn.winner).not.toBe(now)
            expect(at(Math.round((turn.value + step) * 1e6) / 1e6).winner).toBe(now)
            // as it is told: in whole units
            expect(Math.abs(turn.value / figure.unit - Math.round(turn.value / figure.unit))).toBeLessThan(
              1e-6,
            )
          }
        },
      ),
      { numRuns: 60 },
    )
  })
})

import { readFileSync } from 'node:fs'
import { expect, test } from 'vitest'
import { machineQueries } from '#core/pricing/machines/machineQuery'
import { streetPrice } from '#core/pricing/street/streetPrice'
import type { SoldRecord } from '#core/reading/sales/soldRecord'

const [both, cardOnly] = machineQueries(
  { name: 'Kettle 4600', query: { must: ['Kettle', '4600'] } },
  { name: 'Tarn 640', query: { must: ['Tarn', '640'], variant: { siblings: ['640 S'] } } },
)
const sold = (title: string, index: number): SoldRecord => ({
  id: String(index),
  source: 'Gavelry',
  title,
  price: 400_00 + index,
  shipping: 0,
  currency: 'CAD',
  soldOn: '2026-10-20',
  manner: 'auction',
  condition: 'used',
})
/** Ids of the titles that count as machines like this one. */
const counted = (records: readonly SoldRecord[], of = both!) =>
  new Set(streetPrice({ ...of, asOf: '2026-10-31', currency: 'CAD' }, records).kept.map(({ id }) => id))

test('titles written by hand: of those never worked with at least nine in ten are read rightly', () => {
  const told = readFileSync(new URL('machineTitles.txt', import.meta.url), 'utf8')
    .split('\n')
    .filter((line) => line.includes(' | '))
    .map((line, index) => {
      const at = line.indexOf(' | ')
      return { isMachine: line.slice(0, at) === 'machine', record: sold(line.slice(at + 3), index) }
    })
  const kept = counted(
    told.map(({ record }) => record),
    both,
  )
  const wrong = told.filter(({ isMachine, record }) => kept.has(record.id) !== isMachine)
  const toWorkWith = wrong.filter(({ record }) => Number(record.id) % 2 === 0)
  const toMeasure = wrong.length - toWorkWith.length
  expect(toWorkWith.map(({ record }) => record.title)).toEqual([])
  expect(toMeasure).toBeLessThanOrEqual(told.length / 20)
})

test('with the card alone, where no machine has both', () => {
  const records = ['Gaming PC Garnet 55, Tarn 640, 16GB', 'Gaming PC Kettle 4600, 16GB'].map(sold)
  expect([...counted(records), ...counted(records, cardOnly)]).toEqual(['0'])
  expect([both!.like, cardOnly!.like]).toEqual(['with Kettle 4600 and Tarn 640', 'with Tarn 640'])
})

import { describe, expect, test } from 'vitest'
import { calcCheckFit } from '#server/calc/checkFitCalc'
import { calcReadListing } from '#server/calc/readListingCalc'
import { checkFitRequest, readListingRequest } from '#shared/calc/schemas'

const library = [
  { id: 'tarn', role: 'cpu', make: 'Corvane', name: 'Tarn 640', facts: { socket: 'F5', cores: '6' } },
  { id: 'ostrel', role: 'graphics', make: 'Vantry', name: 'Ostrel 55', facts: { vramGb: 8 } },
]
const listing = (text: string, parts: object[] = library) =>
  calcReadListing(
    readListingRequest.validateSync({ text, today: '2026-10-31', currency: 'CAD', library: parts }),
  )

describe('read-listing', () => {
  test('two things of the library, each with its own price, sum to the price of all', () => {
    expect(listing('Tarn 640 CPU, works, 60\nOstrel 55 8GB card, untested, 90')).toMatchObject({
      price: '150.00',
      priceCurrency: 'CAD',
      things: [
        { partId: 'tarn', price: '60.00', works: 'yes' },
        { partId: 'ostrel', price: '90.00', works: 'unknown' },
      ],
    })
  })

  test('facts of a library may come in words; what is no number is not known', () => {
    expect(
      listing('Tarn 640', [{ ...library[0], facts: { cores: 'six', socket: 'Socket F5' } }]),
    ).toMatchObject({
      things: [{ partId: 'tarn' }],
    })
  })

  test('a part of a library with a role alone, or with a make alone, is in no title', () => {
    const bare = [
      { id: 'a', role: 'case', make: '12.50' },
      { id: 'b', role: 'case' },
    ]
    expect(listing('12.50', bare).things.every(({ partId }) => partId === null)).toBe(true)
    expect(listing('Case, black, 12.50', bare)).toMatchObject({
      price: '12.50',
      things: [{ partId: null, role: 'case' }],
    })
  })

  test('nothing, or no library, is answered with what is not known', () => {
    expect(listing('', [])).toMatchObject({
      price: null,
      things: [{ partId: null, role: null, price: null }],
      condition: null,
      works: 'unknown',
    })
  })
})

describe('check-fit', () => {
  const board = (facts: object) => ({ id: 'board', role: 'motherboard', name: 'Halden M', facts })
  const cpu = {
    id: 'cpu',
    role: 'cpu',
    name: 'Tarn 640',
    facts: { socket: 'socket F-5', boxedCooler: 'yes' },
  }
  const fit = (parts: object[], brief?: object) =>
    calcCheckFit(checkFitRequest.validateSync({ parts, brief }), '2026-10-31')

  test('sockets compare without case, spaces and hyphens; the parts are named by the ids that were sent', () => {
    expect(fit([cpu, board({ socket: 'f 5' })]).findings.map(({ rule }) => rule)).not.toContain('cpu-socket')
    expect(fit([cpu, board({ socket: 'G7' })]).findings).toContainEqual(
      expect.objectContaining({ rule: 'cpu-socket', severity: 'stops', parts: ['cpu', 'board'] }),
    )
  })

  test('a fact that was not sent is asked for by its key, never taken for one that fits', () => {
    const { findings, cannotCheck } = fit([cpu, board({})])
    expect(findings.some(({ rule }) => rule === 'cpu-socket')).toBe(false)
    expect(cannotCheck).toContainEqual({
      rule: 'cpu-socket',
      missing: [{ part: 'board', fact: 'socket' }],
    })
  })

  test('parts with nothing but an id and a role are checked without a fault', () => {
    expect(fit([{ id: 'x', role: 'memory' }]).findings.every(({ message }) => message.length > 0)).toBe(true)
  })
})

import { describe, expect, test } from 'vitest'
import { saysAccessory } from '#core/reading/titles/accessoryInTitle'
import { saysDamaged } from '#core/reading/titles/damageInTitle'
import { saysLot } from '#core/reading/titles/lotInTitle'
import { statedQuantity } from '#core/reading/titles/quantityInTitle'
import { TitleClasses, type WantedClasses } from '#core/reading/titles/titleClasses'
import { classesOf, WordClass } from '#core/reading/titles/lexicon'
import { findMisspelt, findPhrase, phrase, phraseLengthAt } from '#core/reading/titles/phrase'
import { StatedVariant, variantClash } from '#core/reading/titles/statedVariant'
import { hashText, TitleScanner } from '#core/reading/titles/titleScanner'
import { FieldError, readDate, readPrice, readWord } from '#core/reading/tables/readFields'

/** The questions that the sieve asks of one title, each alone: titles as people write them, what is said of each beside it. */
const scanner = new TitleScanner()
const classes = new TitleClasses()
function scanned(title: string) {
  scanner.scan(title)
  classes.read(scanner)
}
const card: WantedClasses = {
  mask: WordClass.kindGraphics,
  hashes: new Set([hashText('tarn'), hashText('640')]),
  countsModules: false,
  isCooler: false,
}
const memory: WantedClasses = {
  mask: WordClass.kindMemory,
  hashes: new Set([hashText('palisado')]),
  countsModules: true,
  capacityGb: 16,
  isCooler: false,
}

describe('words and phrases', () => {
  test('a word may belong to several classes; an unknown one to none', () => {
    expect(classesOf(hashText('broken')) & WordClass.damage).not.toBe(0)
    expect(classesOf(hashText('box')) & WordClass.accessory).not.toBe(0)
    expect(classesOf(hashText('box')) & WordClass.harmlessExtra).not.toBe(0)
    expect(classesOf(hashText('tarn'))).toBe(0)
  })
  test.each([
    ['Murrowdun Tarn 640 8GB', 'tarn 640', 1],
    ['Murrowdun TARN-640', 'tarn 640', 1],
    ['Tarn640 card', 'tarn 640', 0],
    ['Tarn 6400', 'tarn 640', -1],
    ['640 Tarn', 'tarn 640', -1],
    ['Tarn, 640', 'tarn 640', -1],
    ['kit 2 x 8 GB', '2x8gb', 1],
    ['supply 650 Watt', '650w', 1],
  ])('%s: "%s" stands at %i', (title, wanted, at) => {
    scanned(title)
    expect(findPhrase(scanner, phrase(wanted))).toBe(at)
  })
  test('a phrase is looked for from a token on, and says how many tokens it takes up', () => {
    scanned('Tarn 640 or Tarn 640 S')
    const wanted = phrase('tarn 640')
    expect(findPhrase(scanner, wanted, 1)).toBe(3)
    expect([phraseLengthAt(scanner, wanted, 0), phraseLengthAt(scanner, wanted, 1)]).toEqual([2, 0])
  })
  test.each([
    ['Murowdun Tarn', 'murrowdun', 0],
    ['Murrowdnu Tarn', 'murrowdun', 0],
    ['Mrrowdn Tarn', 'murrowdun', -1],
    ['Tran 640', 'tarn', -1], // under five letters nothing is forgiven
    ['brocken', 'broken', 0],
    ['broken', 'brocken', -1], // a word that the trade knows is no slip
  ])('%s for %s, one slip at most: %i', (title, wanted, at) => {
    scanned(title)
    expect(findMisspelt(scanner, phrase(wanted))).toBe(at)
  })
})

describe('what a title says of the thing', () => {
  test.each([
    ['Tarn 640 untested', 'untested'],
    ['Tarn 640 faulty fan', 'faulty'],
    ['Tarn 640 for parts', 'parts'],
    ['Tarn 640 not working', 'not working'],
    ['Tarn 640 fault free', ''],
    ['Tarn 640 no faults, not broken', ''],
    ['Tarn 640 tested and working', ''],
  ])('%s: damaged by "%s"', (title, said) => {
    scanned(title)
    if (said === '') expect(saysDamaged(scanner, classes)).toBe('')
    else expect(saysDamaged(scanner, classes)).toContain(said.split(' ')[0])
  })
  test.each([
    ['Tarn 640 and Heron 70 CPU bundle', true],
    ['job lot of graphics cards', true],
    ['Tarn 640 with motherboard and RAM', true],
    ['Tarn 640 with box and cables', false],
    ['Tarn 640 8GB graphics card', false],
  ])('%s is a lot: %s', (title, isLot) => {
    scanned(title)
    expect(saysLot(scanner, classes, card) !== '').toBe(isLot)
  })
  test.each([
    ['Tarn 640 box only', true],
    ['fan for Tarn 640', true],
    ['bracket for Tarn 640 no card', true],
    ['Tarn 640 with box', false],
    ['Tarn 640 dual fan', false],
  ])('%s is only an accessory: %s', (title, isAccessory) => {
    scanned(title)
    expect(saysAccessory(scanner, classes, card) !== '').toBe(isAccessory)
  })
  test.each([
    ['2x Tarn 640', card, 2],
    ['Tarn 640 x2', card, 2],
    ['pair of Tarn 640', card, 2],
    ['4 pcs Tarn 640', card, 4],
    ['Tarn 640', card, 1],
    ['Palisado 2x8GB', memory, 1], // a kit is one thing
  ])('%s: how many', (title, wanted, quantity) => {
    scanned(title)
    const said = statedQuantity(scanner, classes, wanted)
    expect(said === 0 ? 1 : said).toBe(quantity)
  })
})

describe('which variant a title states', () => {
  const stated = new StatedVariant()
  const kit = { capacityGb: 16, kitCount: 2, memoryGeneration: 'DDR4', module: 'desktop' } as const
  test.each([
    ['Palisado 16GB (2x8GB) DDR4', ''],
    ['Palisado 2 x 8 GB DDR4 desktop', ''],
    ['Palisado 16GB', ''], // what is left out does not contradict
    ['Palisado 8GB DDR4', 'states 8 GB, wanted 16 GB'],
    ['Palisado 4x4GB 16GB DDR4', 'states 4 to the kit, wanted 2'],
    ['Palisado 16GB 2x8GB DDR3', 'states another memory generation, wanted DDR4'],
    ['Palisado 16GB 2x8GB SODIMM', 'a laptop module'],
    ['Palisado 16GB 2x8GB RDIMM', 'a server module'],
  ])('%s: %s', (title, clash) => {
    scanned(title)
    stated.read(scanner, true)
    expect(variantClash(stated, scanner, kit)).toBe(clash)
  })
  test.each([
    ['1TB drive', 1000, ''],
    ['1024GB drive', 1000, ''], // the same drive by 1024
    ['960GB drive', 1000, 'states 960 GB, wanted 1000 GB'],
  ])('%s against %i GB: %s', (title, capacityGb, clash) => {
    scanned(title)
    stated.read(scanner, false)
    expect(variantClash(stated, scanner, { capacityGb })).toBe(clash)
  })
  test('a laptop module must be called one; a single module is no kit', () => {
    scanned('Palisado 8GB DDR4')
    stated.read(scanner, true)
    expect(variantClash(stated, scanner, { module: 'laptop' })).toBe(
      'does not say that it is a laptop module',
    )
    scanned('Palisado DDR4 kit')
    stated.read(scanner, true)
    expect(variantClash(stated, scanner, { kitCount: 1 })).toBe('states a kit, wanted a single module')
  })
})

describe('cells of a table', () => {
  test('what cannot be understood is an error with its code and the cell, never a guess', () => {
    for (const [read, code] of [
      [() => readPrice('gratis', 'CAD'), 'price'],
      [() => readPrice('12.345', 'JPY'), undefined], // thousands in a currency without places
      [() => readDate('31/10/2026'), 'date'],
      [() => readWord('swap', { auction: [], fixed: ['buy now'] }, 'manner'), 'manner'],
    ] as const) {
      if (code === undefined) expect(read()).toBe(12_345)
      else
        try {
          read()
          expect.unreachable()
        } catch (error) {
          expect(error).toBeInstanceOf(FieldError)
          expect((error as FieldError).code).toBe(code)
        }
    }
  })
})

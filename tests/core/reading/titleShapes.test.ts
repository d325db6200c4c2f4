import { describe, expect, test } from 'vitest'
import {
  comesAlongAt,
  saysBroken,
  saysChoice,
  saysForIt,
  saysIncomplete,
  saysMachine,
  saysPartOfMachine,
  saysPieceAtEnd,
  saysPieceFirst,
  saysThingForIt,
  saysWanted,
  saysWithIt,
  saysWithModel,
} from '#core/reading/titles/advertisement'
import { otherThanMachine, screens, thingAround } from '#core/reading/titles/machineInTitle'
import { modelEnding, nameEnding } from '#core/reading/titles/modelEnding'
import { normaliseTitle } from '#core/reading/titles/normaliseTitle'
import {
  compoundIn,
  endsAsBad,
  endsInExchange,
  endsInMachine,
  isQuestion,
  saysCompared,
  saysFrail,
  saysJoinedBefore,
  saysOnlyOther,
  saysOtherOfLine,
  saysSizes,
  saysUpgradeKit,
  saysWithMachine,
} from '#core/reading/titles/shapes'
import { hashText, TitleScanner } from '#core/reading/titles/titleScanner'

/** Each question of the sieve by itself, with titles that it must answer and titles that it must leave alone. */
const scanned = (title: string) => {
  const scanner = new TitleScanner()
  scanner.scan(title)
  return scanner
}
const own = (words: string) => new Set(normaliseTitle(words).map(hashText))
const card = own('Quill 70')
const chip = own('Dovecote 5300')
/** Where a word stands in a title. */
const at = (scanner: TitleScanner, word: string) => {
  for (let index = 0; index < scanner.count; index += 1) if (scanner.text(index) === word) return index
  throw new Error(`"${word}" is not in it`)
}

const yes = (ask: (scanner: TitleScanner) => string | boolean, titles: readonly string[]) =>
  test.each(titles)('yes: %s', (title) => expect(ask(scanned(title))).not.toBe(''))
const no = (ask: (scanner: TitleScanner) => string | boolean, titles: readonly string[]) =>
  test.each(titles)('no: %s', (title) => expect(ask(scanned(title))).toBe(''))

describe('somebody wants it', () => {
  yes(saysWanted, ['WTB Quill 70', 'Suche Quill 70', 'Cherche Quill 70', 'Compro Quill 70', 'Köper Quill 70'])
  no(saysWanted, ['Quill 70, sold by its first owner', 'Quill 70 8GB'])
})

describe('it is broken', () => {
  yes(saysBroken, ['Quill 70 defekt', 'Quill 70 en panne', 'Quill 70 averiada', 'Quill 70 fungerar ej'])
  no(saysBroken, ['Quill 70 no artefacts or crashes', 'Quill 70 bent pins fixed', 'Quill 70 works'])
})

describe('it ends in a word that decides', () => {
  yes(endsAsBad, ['Quill 70 mort', 'Quill 70 lines', 'Skiff 500 GB locked'])
  no(endsAsBad, ['Quill 70 no lines', 'Quill 70'])
  yes(endsInExchange, ['Quill 70 swap', 'Quill 70 Tausch'])
  no(endsInExchange, ['Quill 70 no swap', 'Quill 70 no trades'])
  yes((scanner) => endsInMachine(scanner, chip, 'cpu'), ['Dovecote 5300 workstation', 'Dovecote 5300 PC'])
  no(
    (scanner) => endsInMachine(scanner, chip, 'cpu'),
    ['Dovecote 5300 for my PC', 'Dovecote 5300 pulled from a working PC', 'Dovecote 5300'],
  )
  test('a tower cooler ends in what it is', () =>
    expect(endsInMachine(scanned('Gale 120 tower'), own('Gale 120'), 'cooler')).toBe(''))
})

describe('a whole machine', () => {
  yes(
    (scanner) => saysMachine(scanner, card),
    ['Gaming PC Quill 70', 'Rechner mit Quill 70', 'PC with Quill 70'],
  )
  no(
    (scanner) => saysMachine(scanner, card),
    ['Quill 70 for gaming PC', 'Quill 70 aus Gaming PC', 'Quill 70'],
  )
  yes((scanner) => saysWithMachine(scanner, card), ['Quill 70 with Windows laptop'])
  yes((scanner) => saysSizes(scanner, 'cpu'), ['Dovecote 5300 16GB 512GB'])
  no((scanner) => saysSizes(scanner, 'graphics'), ['Quill 70 8GB 512GB'])
  yes((scanner) => saysSizes(scanner, 'case'), ['Larder Mini Dovecote 5300 16GB'])
  test.each([
    ['Gaming PC Quill 70, 16GB', null],
    ['Gaming laptop Quill 70', 'wrong-variant'],
    ['Quill 70', 'accessory'],
    ['Gaming PC Quill 70 without RAM', 'condition'],
    ['Gaming PC Quill 70 with monitor', 'lot'],
    ['2x gaming PC Quill 70', 'lot'],
  ])('%s', (title, reason) => expect(otherThanMachine(scanned(title), card)?.reason ?? null).toBe(reason))
  test('a screen along with it is another thing, one that is denied is not', () => {
    expect(thingAround(scanned('Brigg 7020 with monitor'), screens)).toBe('monitor')
    expect(thingAround(scanned('Brigg 7020 no monitor'), screens)).toBe('')
    expect(thingAround(scanned('Brigg 7020 with keyboard'), screens)).toBe('')
    expect(thingAround(scanned('Brigg 7020 with keyboard'))).toBe('keyboard')
  })
})

describe('more than one thing', () => {
  const after = (title: string) => {
    const scanner = scanned(title)
    return saysWithIt(scanner, at(scanner, 'quill'))
  }
  test('something that has it with it', () => {
    expect(after('Dovecote 5300 with Quill 70')).not.toBe('')
    expect(after('fully working with Quill 70')).toBe('')
  })
  yes(
    (scanner) => saysWithModel(scanner, chip),
    ['Dovecote 5300 with Mullion 300', 'Dovecote 5300 w/ 7300 and more'],
  )
  no((scanner) => saysWithModel(scanner, chip), ['Dovecote 5300 with box', 'works with Dovecote 5300 boards'])
  yes((scanner) => saysChoice(scanner, chip), ['Dovecote 5300 or 7300', 'Dovecote 5300, 5400 and 7300'])
  no((scanner) => saysChoice(scanner, chip), ['Dovecote 5300'])
  yes(saysUpgradeKit, ['upgrade kit Dovecote 5300', 'Aufrüstkit Dovecote 5300'])
  const joined = (title: string) => {
    const scanner = scanned(title)
    return saysJoinedBefore(scanner, 'graphics', at(scanner, 'quill'))
  }
  test.each([
    ['Case with Quill 70', 'case'],
    ['ITX case + Quill 70', 'case'],
    ['old PC case and Quill 70', 'case'],
    ['Quill 70 with case', ''],
  ])('%s', (title, wanted) => expect(joined(title)).toBe(wanted))
})

describe('a piece of it, or a thing for it', () => {
  yes(
    (scanner) => saysPieceFirst(scanner, card),
    ['Heatsink Quill 70', 'Stock cooler Quill 70', 'Kabel Quill 70'],
  )
  no((scanner) => saysPieceFirst(scanner, card), ['Quill 70 heatsink', 'Quill 70 8GB'])
  yes((scanner) => saysPieceAtEnd(scanner, card), ['Quill 70 backplate', 'Quill 70 shroud', 'Quill 70 die'])
  no(
    (scanner) => saysPieceAtEnd(scanner, card),
    ['Quill 70 with backplate', 'Quill 70 small scratch on backplate', 'Quill 70'],
  )
  yes((scanner) => saysIncomplete(scanner, 'supply'), ['Anvil 650 no cables', 'Anvil 650 cables missing'])
  yes((scanner) => saysIncomplete(scanner, 'case'), ['Larder Mini missing screws'])
  no((scanner) => saysIncomplete(scanner, 'cpu'), ['Dovecote 5300 no cooler'])
  yes((scanner) => saysThingForIt(scanner, card), ['sticker Quill 70', 'Quill 70 fan cable splitter'])
  no((scanner) => saysThingForIt(scanner, card), ['Quill 70 8GB'])
  yes((scanner) => saysPartOfMachine(scanner, own('Brigg 7020')), ['Brigg 7020 motherboard'])
  yes((scanner) => saysOnlyOther(scanner, card), ['Quill 70 IHS only'])
  no((scanner) => saysOnlyOther(scanner, card), ['Quill 70 gaming only', 'Quill 70 collection only'])
  test('for it: behind the words that say so, before what is asked for', () => {
    const title = scanned('bracket for Quill 70')
    expect(saysForIt(title, at(title, 'quill'))).not.toBe('')
    const fan = scanned('Quill 70 for gaming')
    expect(saysForIt(fan, at(fan, 'quill'))).toBe('')
  })
  test('what comes along is said before it', () => {
    const along = scanned('Quill 70 with original box')
    expect(comesAlongAt(along, at(along, 'box'), card)).toBe(true)
    const alone = scanned('Quill 70 box')
    expect(comesAlongAt(alone, at(alone, 'box'), card)).toBe(false)
  })
})

describe('another thing by its shape', () => {
  yes(
    (scanner) => saysCompared(scanner, card),
    ['Quill 60 better than Quill 70', 'Quill 70 vs Quill 90', 'Like Quill 70'],
  )
  no((scanner) => saysCompared(scanner, card), ['Quill 70 like new'])
  yes((scanner) => saysOtherOfLine(scanner, card), ['Quill 50, almost a Quill 70'])
  no((scanner) => saysOtherOfLine(scanner, card), ['Quill 70 8GB'])
  yes(saysFrail, ['Dovecote 5300 Pins krumm'])
  no(saysFrail, ['Dovecote 5300 all pins straight'])
  test('a compound word by its end', () => {
    expect(compoundIn(scanned('Quill 70 Ersatzlüfter'), card, 'graphics')?.head).toBe('piece')
    expect(compoundIn(scanned('Spielerechner Quill 70'), card, 'graphics')?.head).toBe('machine')
    expect(compoundIn(scanned('Quill 70 Grafikkarte'), card, 'graphics')).toBeNull()
  })
  test.each([
    ['Anyone selling a Quill 70?', true],
    ['Quill 70? No, Quill 90', false],
  ])('a question: %s', (title, wanted) => expect(isQuestion(title)).toBe(wanted))
})

describe('endings that make another model', () => {
  test.each([
    ['Quill 70-S', 's'],
    ['Quill 70 XT', 'xt'],
    ['Quill 70 mini', 'mini'],
    ['Quill 70 oc', ''],
    ['Quill 70 in box', ''],
    ['Quill 70', ''],
  ])('%s', (title, wanted) => {
    const scanner = scanned(title)
    expect(modelEnding(scanner, 1, title)).toBe(wanted)
  })
  test('of a name that has no number', () => {
    expect(nameEnding(scanned('Larder Mini Plus'), 1)).toBe('plus')
    expect(nameEnding(scanned('Larder Mini case'), 1)).toBe('')
  })
})

import { phrases } from '../../text/phrases'
import { WordClass } from './lexicon'
import { isAttributeNoun, isSlot } from './attributeInTitle'
import type { TitleClasses, WantedClasses } from './titleClasses'
import { TokenKind, Unit, hashText, type TitleScanner } from './titleScanner'

/** How many things the title says are sold together: 0 not said, −1 said but unclear ("each", "choose"). */
export function statedQuantity(scanner: TitleScanner, classes: TitleClasses, wanted: WantedClasses): number {
  let stated = 0
  for (let i = 0; i < scanner.count; i += 1) {
    const kind = scanner.kind[i]!
    const mask = classes.mask[i]!
    const nextKind = i + 1 < scanner.count ? scanner.kind[i + 1]! : -1
    const beforeKind = i > 0 ? scanner.kind[i - 1]! : -1
    if (kind === TokenKind.timesAfter && !(wanted.countsModules && beforeKind === TokenKind.measure)) {
      // `Fallow X5` is a model, `PCIe 4.0 x16` a slot
      if (!wanted.hashes.has(scanner.hash[i]!) && !isSlot(scanner, i)) stated = scanner.first[i]!
    } else if (kind === TokenKind.timesBefore && !(wanted.countsModules && nextKind === TokenKind.measure)) {
      // `2x fan`, `3x outputs`: said of an attribute
      const next = i + 1 < scanner.count ? classes.mask[i + 1]! : 0
      if (!(next & WordClass.accessory) && !isAttributeNoun(scanner, i + 1)) stated = scanner.first[i]!
    } else if (
      kind === TokenKind.number &&
      i + 1 < scanner.count &&
      classes.mask[i + 1]! & WordClass.countNoun &&
      scanner.first[i]! <= 100
    ) {
      const isOther = [1, 2, 3].some(
        (back) => back <= i && (classes.mask[i - back]! & WordClass.forWord) !== 0,
      )
      if (
        !wanted.countsModules &&
        !isOther &&
        !(classes.mask[i + 1]! & WordClass.accessory) &&
        !wanted.hashes.has(scanner.hash[i]!)
      )
        stated = scanner.first[i]!
    } else if (
      kind === TokenKind.multiple &&
      scanner.unit[i] === Unit.gb &&
      !wanted.countsModules &&
      scanner.second[i] === wanted.capacityGb
    ) {
      stated = scanner.first[i]!
    } else if (mask & WordClass.pair && !wanted.countsModules && !isPraise(scanner, i)) stated = 2
    else if (kind === TokenKind.number && i + 1 < scanner.count && wholeSets.has(scanner.hash[i + 1]!))
      return scanner.first[i]!
    else if (mask & WordClass.quantityVague) stated = -1
    else if (
      scanner.hash[i] === setHash &&
      i + 2 < scanner.count &&
      classes.mask[i + 1]! & WordClass.ofWord &&
      scanner.kind[i + 2] === TokenKind.number
    ) {
      if (!wanted.countsModules) stated = scanner.first[i + 2]!
    } else if (
      !wanted.countsModules &&
      numberWords.has(scanner.hash[i]!) &&
      collections.has(scanner.hash[i - 2] ?? -1) &&
      betweenCount.has(scanner.hash[i - 1]!)
    ) {
      stated = numberWords.get(scanner.hash[i]!)!
    } else if (kind === TokenKind.plus && isSameAgain(scanner, i, wanted)) {
      stated = 2
    } else if (
      isCountBehindOf(scanner, classes, i) &&
      !wanted.countsModules &&
      !wanted.hashes.has(scanner.hash[i]!)
    ) {
      stated = scanner.first[i]!
    } else if (
      wanted.countsModules &&
      kind === TokenKind.multiple &&
      opensWithCount(scanner, classes, wanted)
    )
      return -1
    else if (!wanted.countsModules && stated === 0 && saysCount(scanner, classes, i, wanted))
      stated = scanner.kind[i] === TokenKind.number ? scanner.first[i]! : numberWords.get(scanner.hash[i]!)!
    if (stated === -1) return -1
  }
  return stated < 2 || stated > mostPieces ? Math.min(stated, 0) : stated
}

/** More pieces than that for one price are no count. */
const mostPieces = 32

/** `tray of 12 …`, `paquete de 3`, `… 5 st`. */
function isCountBehindOf(scanner: TitleScanner, classes: TitleClasses, i: number): boolean {
  if (scanner.kind[i] !== TokenKind.number || scanner.first[i]! > 100) return false
  if (i + 1 < scanner.count && pieceCounts.has(scanner.hash[i + 1]!)) return true
  if (i < 2 || scanner.kind[i - 2] !== TokenKind.word) return false
  const isCollection = collections.has(scanner.hash[i - 2]!) && betweenCount.has(scanner.hash[i - 1]!)
  return isCollection || ((classes.at(i - 1) & WordClass.ofWord) !== 0 && i + 1 < scanner.count)
}

/** `Quill 70 & Quill 70`: the model number again behind the plus. */
function isSameAgain(scanner: TitleScanner, plus: number, wanted: WantedClasses): boolean {
  for (let at = plus + 1; at < scanner.count; at += 1) {
    const hash = scanner.hash[at]!
    if (scanner.kind[at] === TokenKind.word || !wanted.hashes.has(hash)) continue
    for (let before = 0; before < plus; before += 1) if (scanner.hash[before] === hash) return true
  }
  return false
}

/** `good pair with a Dovecote`: what it goes with. */
const isPraise = (scanner: TitleScanner, i: number) => withHashes.has(scanner.hash[i + 1]!)
const withHashes = new Set(['with', 'for', 'mit', 'avec', 'med', 'con'].map(hashText))

const pieceCounts = new Set(
  phrases('st, stk, stuck, styck, unidades, unites, piezas, pzas, exemplaires').map(hashText),
)
const betweenCount = new Set(phrases('of, de, von, mit, con, med, om, a').map(hashText))
const collections = new Set(
  phrases('paquete, pack, lot, lote, paket, set, box, tray, bag, sats, jeu, juego').map(hashText),
)

const wholeSets = new Set(['kits', 'sets', 'pairs', 'lots', 'boxes', 'packs'].map(hashText))
const setHash = hashText('set')
const numberWords = new Map(
  [
    ['two', 2],
    ['three', 3],
    ['four', 4],
    ['five', 5],
    ['six', 6],
    ['eight', 8],
    ['ten', 10],
    ['zwei', 2],
    ['drei', 3],
    ['vier', 4],
    ['deux', 2],
    ['trois', 3],
    ['quatre', 4],
    ['tva', 2],
    ['tre', 3],
    ['fyra', 4],
    ['dos', 2],
    ['tres', 3],
    ['cuatro', 4],
    ['paire', 2],
    ['paar', 2],
    ['par', 2],
    ['pareja', 2],
  ].map(([word, count]) => [hashText(String(word)), Number(count)]),
)
/** `pair of …`, `two …`, `2x …`, before a kit that states its modules: one kit or several, the title leaves open. */
function opensWithCount(scanner: TitleScanner, classes: TitleClasses, wanted: WantedClasses): boolean {
  return (
    (classes.mask[0]! & WordClass.pair) !== 0 ||
    scanner.kind[0] === TokenKind.timesBefore ||
    saysCount(scanner, classes, 0, wanted)
  )
}

/** `two Tarn 640`, `(2) Tarn 640`: a count that opens the title, before a word. */
function saysCount(scanner: TitleScanner, classes: TitleClasses, i: number, wanted: WantedClasses): boolean {
  if (i > 0 || wanted.hashes.has(scanner.hash[0]!) || scanner.count < 2) return false
  const isCount =
    numberWords.has(scanner.hash[0]!) ||
    (scanner.kind[0] === TokenKind.number && scanner.first[0]! >= 2 && scanner.first[0]! <= 20)
  return (
    isCount &&
    scanner.kind[1] === TokenKind.word &&
    !isAttributeNoun(scanner, 1) &&
    (classes.mask[1]! & WordClass.accessory) === 0
  )
}

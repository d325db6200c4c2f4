import { phrases } from '../../text/phrases'
import { languages } from '../words/allWords'
import { isDenied } from './denied'
import { HashedPhrases } from './hashedPhrases'
import { anyKind, classesOf, WordClass } from './lexicon'
import { TokenKind, Unit, hashText, type TitleScanner } from './titleScanner'

/** Class masks of the words a query itself asks for: said of the thing wanted, they prove nothing against it. */
export interface WantedClasses {
  readonly mask: number
  /** Hashes of the single words asked for. */
  readonly hashes: ReadonlySet<number>
  /** Whether the query is about memory, where `2 sticks` is a kit. */
  readonly countsModules: boolean
  readonly capacityGb?: number
  /** A cooler is sold, so a cooler is no accessory. */
  readonly isCooler: boolean
}

/** Class mask of each token, computed once a title and shared by the questions below. */
export class TitleClasses {
  readonly mask = new Int32Array(128)
  all = 0
  connectors = 0

  read(scanner: TitleScanner): void {
    this.all = 0
    this.connectors = 0
    for (let i = 0; i < scanner.count; i += 1) {
      const kind = scanner.kind[i]!
      let mask = 0
      if (kind === TokenKind.plus || kind === TokenKind.comma) this.connectors += 1
      else if (kind === TokenKind.word || kind === TokenKind.mixed) mask = classesOf(scanner.hash[i]!)
      if (scanner.hash[i] === supplyWord && i > 0 && scanner.hash[i - 1] === powerWord)
        mask |= WordClass.kindSupply
      this.mask[i] = mask
      this.all |= mask
    }
    for (let i = scanner.count; i < scanner.count + 4 && i < this.mask.length; i += 1) this.mask[i] = 0
  }

  at(i: number): number {
    return i >= 0 ? this.mask[i]! : 0
  }
}

const [powerWord, supplyWord] = [hashText('power'), hashText('supply')]
const partsHash = hashText('parts')
/** `all parts`, `pc parts`: said of the kind of thing. */
const piecesBefore = new Set(
  phrases('all, pc, computer, spare, desktop, gaming, mounting, and').map(hashText),
)
const testedHash = hashText('tested')
const freeHash = hashText('free')
const putRight = new HashedPhrases(languages.flatMap((language) => language.putRight))
/** `bent bracket straightened`: what was put right a word or two later. */
function isPutRight(scanner: TitleScanner, from: number): boolean {
  for (let at = from; at < Math.min(from + 3, scanner.count); at += 1)
    if (putRight.lengthAt(scanner, at) > 0) return true
  return false
}
const asHash = hashText('as')
const isHash = hashText('is')
const workingHashes = new Set(
  phrases(`
    working, work, boot, boots, booting, post, posting, display, signal, picture, output, tested, turn,
    start, power
  `).map(hashText),
)
const notHashes = new Set(
  ['not', 'no', 'doesnt', 'wont', 'isnt', 'never', 'stopped', 'cant', 'didnt'].map(hashText),
)
/** `no power supply`: what is not there is another thing than the one sold. */
const supplyHashes = new Set(
  phrases(`
    supply, cord, cable, adapter, brick, lead, cords, plug, connector, connectors, needed, required, input, pin,
    pins, draw
  `).map(hashText),
)

/** `slightly bent`, `dead quiet`: no damage that matters, or none at all. */
const mildBefore = new Set(phrases('slightly, leicht, legerement, ligeramente, latt').map(hashText))
const praiseBehind = new Set(phrases('quiet, silent, easy, simple').map(hashText))

/** The words by which a title says that the thing is damaged or untested; '' where it does not. */
export function saysDamaged(scanner: TitleScanner, classes: TitleClasses): string {
  for (let i = 0; i < scanner.count; i += 1) {
    const hash = scanner.hash[i]!
    if (
      classes.mask[i]! & WordClass.damage &&
      !(classes.at(i - 1) & WordClass.negation) &&
      !(classes.at(i - 2) & WordClass.negation && classes.at(i - 1) === 0) &&
      !isDenied(scanner, i) &&
      scanner.hash[i + 1] !== freeHash &&
      !mildBefore.has(scanner.hash[i - 1] ?? -1) &&
      !praiseBehind.has(scanner.hash[i + 1] ?? -1) &&
      !isPutRight(scanner, i + 1)
    ) {
      return scanner.text(i)
    }
    if (hash === partsHash) {
      if (
        (i > 0 && i + 1 === scanner.count && !piecesBefore.has(scanner.hash[i - 1]!)) ||
        classes.at(i - 1) & WordClass.forWord ||
        (i + 1 < scanner.count && classes.mask[i + 1]! & WordClass.only)
      )
        return 'for parts'
    }
    if (
      workingHashes.has(hash) &&
      i > 0 &&
      !supplyHashes.has(scanner.hash[i + 1]!) &&
      (notHashes.has(scanner.hash[i - 1]!) ||
        (i > 1 && hash !== testedHash && notHashes.has(scanner.hash[i - 2]!) && classes.at(i - 1) === 0))
    ) {
      return `${scanner.text(i - 1)} ${scanner.text(i)}`
    }
    if (
      hash === asHash &&
      scanner.hash[i + 1] === isHash &&
      i + 2 >= scanner.count &&
      scanner.hash[i - 1] === partsHash
    )
      return 'parts as is'
  }
  return ''
}

/** Why the title speaks of more than one kind of thing; '' where it does not. */
export function saysLot(scanner: TitleScanner, classes: TitleClasses, wanted: WantedClasses): string {
  const { count } = scanner
  // a part of a known kind has been named before its first connector, in whatever words
  let kindsBefore = wanted.mask & anyKind
  const isMachineWanted = (wanted.mask & WordClass.machine) !== 0
  let firstKind = -1
  for (let i = 0; i < count; i += 1) {
    const mask = classes.mask[i]!
    if (mask & WordClass.lot && !wanted.hashes.has(scanner.hash[i]!) && !isPickup(scanner, i))
      return `says "${scanner.text(i)}"`
    if (mask & WordClass.machine && isMachine(scanner, classes, i, wanted)) return 'a whole machine'
    const isConnector = scanner.kind[i] === TokenKind.plus || (mask & WordClass.connector) !== 0
    if (
      andHashes.has(scanner.hash[i]!) &&
      (joinsOtherKind(classes, i, wanted) || joinsMore(scanner, classes, i, wanted))
    )
      return 'two kinds of part'
    if (isConnector || scanner.kind[i] === TokenKind.comma) {
      const second =
        isMachineWanted && scanner.kind[i] !== TokenKind.plus
          ? ''
          : secondThing(scanner, classes, i, kindsBefore, wanted)
      if (second !== '') return second
    }
    if (
      mask & anyKind &&
      !isMachineWanted &&
      !isAttribute(scanner, classes, i, wanted) &&
      !isNotIncluded(scanner, i)
    ) {
      const kinds = mask & anyKind
      if (kindsBefore !== 0 && (kindsBefore & kinds) === 0 && countKinds(kindsBefore | kinds) >= 3)
        return 'three kinds of part'
      kindsBefore |= kinds
      if (firstKind < 0) firstKind = i
    }
  }
  return ''
}

/** `case and psu`, asked for the second. */
/** `collection from town`, `free collection`: how it is handed over. */
const isPickup = (scanner: TitleScanner, at: number) =>
  scanner.hash[at] === collectionHash &&
  (at === scanner.count - 1 ||
    pickupBehind.has(scanner.hash[at + 1]!) ||
    pickupBefore.has(scanner.hash[at - 1] ?? -1))
const collectionHash = hashText('collection')
const pickupBehind = new Set(
  phrases('from, in, only, or, possible, preferred, available, at, near, please').map(hashText),
)
const pickupBefore = new Set(phrases('free, local, cash, for').map(hashText))

/** `board and 16GB`, asked for the processor; `monitor and keyboard`. */
function joinsMore(scanner: TitleScanner, classes: TitleClasses, at: number, wanted: WantedClasses): boolean {
  const before = classes.at(at - 1)
  if (
    !(wanted.mask & WordClass.machine) &&
    before & WordClass.kindPeripheral &&
    at + 1 < scanner.count &&
    classes.mask[at + 1]! & WordClass.kindPeripheral
  )
    return true
  return (
    (before & WordClass.kindBoard) !== 0 &&
    (wanted.mask & WordClass.kindBoard) === 0 &&
    scanner.kind[at + 1] === TokenKind.measure
  )
}

function joinsOtherKind(classes: TitleClasses, at: number, wanted: WantedClasses): boolean {
  const before = classes.at(at - 1) & anyKind
  return before !== 0 && (before & wanted.mask) === 0 && (classes.at(at + 1) & anyKind & wanted.mask) !== 0
}

function countKinds(mask: number): number {
  let count = 0
  for (let rest = mask & anyKind; rest !== 0; rest &= rest - 1) count += 1
  return count
}

/** `used in office pc`: where the thing has been. */
/** What stands behind is where it was, or what it goes into; not what is sold: `passt nicht mehr ins Board`. */
const leadsElsewhere = new Set(
  phrases(
    'in, into, ins, im, from, inside, aus, dans, fran, til, till, pour, para, fur, nicht, inte, pas',
  ).map(hashText),
)
const insideHashes = new Set(phrases('in, from, inside, my, aus, dans, fran').map(hashText))

function isMachine(scanner: TitleScanner, classes: TitleClasses, i: number, wanted: WantedClasses): boolean {
  if (wanted.mask & WordClass.machine || wanted.hashes.has(scanner.hash[i]!)) return false
  for (let back = 1; back <= 4 && back <= i; back += 1)
    if (classes.at(i - back) & WordClass.forWord || insideHashes.has(scanner.hash[i - back]!)) return false
  // `computer case`, `pc board`: said of the thing behind it
  if (i + 1 < scanner.count && classes.mask[i + 1]! & anyKind & wanted.mask) return false
  return (classes.at(i - 1) & WordClass.machineAdjective) !== 0
}

/** `kept in a filtered case`, `from an office board`: where the thing was. */
const slotNouns = new Set(
  phrases('slot, slots, socket, cables, cable, bays, bay, support, clearance').map(hashText),
)
const testWords = new Set(phrases('stress, test, tests, tested, benchmark, benchmarks').map(hashText))
const wherePlaced = new Set(phrases('in, inside, from, dans, aus, fran, into').map(hashText))

/** `for the board`, `8gb memory` of a card, `no case`: a kind word that describes, and is not a second thing. */
function isAttribute(
  scanner: TitleScanner,
  classes: TitleClasses,
  i: number,
  wanted: WantedClasses,
): boolean {
  if (classes.at(i - 1) & (WordClass.forWord | WordClass.negation) || classes.at(i - 2) & WordClass.forWord)
    return true
  for (let back = 1; back <= 3 && back <= i; back += 1)
    if (wherePlaced.has(scanner.hash[i - back]!)) return true
  // `games and memory stress`: a test
  if (testWords.has(scanner.hash[i + 1]!) || slotNouns.has(scanner.hash[i + 1]!)) return true
  return (
    (classes.mask[i]! & WordClass.kindMemory) !== 0 &&
    scanner.kind[i - 1] === TokenKind.measure &&
    ((classes.all | wanted.mask) & WordClass.kindGraphics) !== 0
  )
}

/**
 * What follows a connector: another kind of part makes a lot; behind a bare plus so does anything that is not one of
 * the harmless extras. After a comma only a kind word counts, and only where a kind was named before.
 */
function secondThing(
  scanner: TitleScanner,
  classes: TitleClasses,
  at: number,
  kindsBefore: number,
  wanted: WantedClasses,
): string {
  const bare = scanner.kind[at] === TokenKind.plus
  const comma = scanner.kind[at] === TokenKind.comma
  let seen = 0
  let harmless = false
  let modelWord = -1
  for (let i = at + 1; i < scanner.count && seen < 5; i += 1) {
    const kind = scanner.kind[i]!
    const mask = classes.mask[i]!
    if (kind === TokenKind.plus || kind === TokenKind.comma || (mask & WordClass.connector && seen > 0)) break
    seen += 1
    if (mask & WordClass.forWord || mask & WordClass.negation || leadsElsewhere.has(scanner.hash[i]!)) break
    if (mask & WordClass.harmlessExtra && modelWord < 0) harmless = true
    if (mask & anyKind && !isAttribute(scanner, classes, i, wanted) && !wanted.hashes.has(scanner.hash[i]!)) {
      const kinds = mask & anyKind
      const ownCapacity =
        (kinds & WordClass.kindMemory) !== 0 &&
        scanner.kind[i - 1] === TokenKind.measure &&
        scanner.first[i - 1] === wanted.capacityGb
      const differs = kindsBefore === 0 ? !comma : (kindsBefore & kinds) === 0
      if (isOwnGraphics(scanner, i, wanted) || isNotIncluded(scanner, i)) break
      if (differs && !harmless && !ownCapacity && (wanted.mask & kinds) === 0)
        return `also names "${scanner.text(i)}"`
    }
    if (modelWord < 0 && namesSomethingElse(scanner, i, wanted)) modelWord = i
  }
  const joins = bare || andHashes.has(scanner.hash[at]!)
  if (
    joins &&
    !harmless &&
    modelWord >= 0 &&
    (bare || modelWord === at + 2) &&
    !isPlusOfAdjective(scanner, at)
  )
    return `also "${scanner.text(modelWord)}"`
  return ''
}

const andHashes = new Set(phrases('and, und, et, och, samt').map(hashText))
const moreHashes = new Set(['more', 'extras', 'bits', 'stuff', 'others', 'misc'].map(hashText))
const isSizeUnit = (unit: number) => unit === Unit.gb || unit === Unit.tb || unit === Unit.w
/** A model number, a size, or `more`: what stands behind the plus is a thing and not praise. */
function namesSomethingElse(scanner: TitleScanner, i: number, wanted: WantedClasses): boolean {
  if (wanted.hashes.has(scanner.hash[i]!)) return false
  const kind = scanner.kind[i]!
  if (moreHashes.has(scanner.hash[i]!)) return true
  return (
    (kind === TokenKind.number && scanner.length(i) > 1) ||
    kind === TokenKind.mixed ||
    (kind === TokenKind.multiple && !wanted.countsModules) ||
    (kind === TokenKind.measure && isSizeUnit(scanner.unit[i]!) && scanner.first[i] !== wanted.capacityGb)
  )
}

const afterPlusHashes = new Set(['bronze', 'gold', 'silver', 'platinum', 'titanium', 'white'].map(hashText))
function isPlusOfAdjective(scanner: TitleScanner, at: number): boolean {
  return at + 1 < scanner.count && afterPlusHashes.has(scanner.hash[at + 1]!)
}

/** Why the title offers only a piece of the thing (its box, bracket, cooler), or says the thing is not there. */
const notWord = hashText('not')

export function saysAccessory(scanner: TitleScanner, classes: TitleClasses, wanted: WantedClasses): string {
  if ((classes.all & (WordClass.accessory | WordClass.negation | anyKind)) === 0) return ''
  for (let i = 0; i < scanner.count; i += 1) {
    const mask = classes.mask[i]!
    if (mask === 0) continue
    const next = i + 1 < scanner.count ? classes.mask[i + 1]! : 0
    if (
      mask & WordClass.accessory &&
      !wanted.hashes.has(scanner.hash[i]!) &&
      !(wanted.isCooler && coolerHashes.has(scanner.hash[i]!))
    ) {
      const before = classes.at(i - 1)
      // `cooler not included`: nobody sells it
      if (before & WordClass.negation || scanner.hash[i + 1] === notWord) continue
      const comesAlong =
        (before | next) & WordClass.connector || (i > 0 && scanner.kind[i - 1] === TokenKind.plus)
      if (next & WordClass.only || before & WordClass.only) return `${scanner.text(i)} only`
      if (!comesAlong && next & WordClass.forWord && namesWanted(scanner, i + 2, wanted))
        return `${scanner.text(i)} for it`
      if (
        !comesAlong &&
        i > 0 &&
        isPieceNoun(scanner.hash[i]!) &&
        (wanted.hashes.has(scanner.hash[i - 1]!) ||
          (scanner.kind[i - 1] === TokenKind.measure && i + 1 === scanner.count))
      )
        return `its ${scanner.text(i)}`
      if (i === 0 && isPieceNoun(scanner.hash[i]!)) return scanner.text(i)
    }
    if (
      mask & WordClass.negation &&
      i + 1 < scanner.count &&
      isNegatedThing(scanner, classes, i + 1, wanted)
    ) {
      return `${scanner.text(i)} ${scanner.text(i + 1)}`
    }
    if (
      scanner.hash[i] === notIncludedHash &&
      i > 1 &&
      scanner.hash[i - 1] === notHash &&
      saysThing(scanner, classes, i - 2)
    ) {
      return `${scanner.text(i - 2)} not included`
    }
  }
  return ''
}

const notIncludedHash = hashText('included')
const notHash = hashText('not')
const cardHashes = new Set(['card', 'gpu', 'cpu', 'chip', 'processor', 'pcb'].map(hashText))
const pieceNouns = new Set(
  phrases(`
    bracket, brackets, backplate, shroud, heatsink, cooler, waterblock, block, manual, sticker
  `).map(hashText),
)
const coolerHashes = new Set(['cooler', 'heatsink', 'fan', 'fans', 'block', 'waterblock'].map(hashText))

/** Whether one of the next words is one that the query asks for. */
function namesWanted(scanner: TitleScanner, from: number, wanted: WantedClasses): boolean {
  for (let i = from; i < scanner.count && i < from + 4; i += 1)
    if (wanted.hashes.has(scanner.hash[i]!)) return true
  return false
}

function isPieceNoun(hash: number): boolean {
  return pieceNouns.has(hash)
}

function saysThing(scanner: TitleScanner, classes: TitleClasses, i: number): boolean {
  return (
    cardHashes.has(scanner.hash[i]!) ||
    (classes.mask[i]! & (WordClass.kindGraphics | WordClass.kindCpu)) !== 0
  )
}

/** `no card`, `without gpu`; but `no cpu` on a board that never had one is told by the kind word before it. */
function isNegatedThing(
  scanner: TitleScanner,
  classes: TitleClasses,
  i: number,
  wanted: WantedClasses,
): boolean {
  // a machine is sold without a card as often as not
  if (!saysThing(scanner, classes, i) || wanted.mask & WordClass.machine) return false
  return ((classes.all | wanted.mask) & (WordClass.kindBoard | WordClass.kindCase)) === 0
}

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
  ].map(([word, count]) => [hashText(String(word)), Number(count)]),
)
const attributeNouns = new Set(
  phrases(`
    core, cores, thread, threads, fan, fans, pin, pins, slot, slots, dp, hdmi, dvi, usb, sata, m2, bay,
    bays, port, ports, phase, year, years, month, months, day, days, displayport, outputs, gen, bit, layers,
    dimm, dimms, sodimm, m, pcie, eps, channel
  `).map(hashText),
)

const slotWords = new Set(['pcie', 'pci', 'express', 'slot', 'lanes', 'gen', 'interface'].map(hashText))
const driveWords = new Set(['nvme', 'm2', 'ssd'].map(hashText))
/** `PCIe x16`, `PCIe 3.0 x4`: the width of a slot. */
function isSlot(scanner: TitleScanner, i: number): boolean {
  for (let back = 1; back <= 3; back += 1)
    if (i >= back && slotWords.has(scanner.hash[i - back]!)) return true
  // `NVMe x4` is the width, `NVMe x2` two of them
  return scanner.first[i] === 4 && driveWords.has(scanner.hash[i - 1] ?? -1)
}

function isAttributeNoun(scanner: TitleScanner, i: number): boolean {
  return i < scanner.count && attributeNouns.has(scanner.hash[i]!)
}

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

/** `cpu and ram not included`. */
function isNotIncluded({ hash, count }: TitleScanner, at: number): boolean {
  for (let i = at + 1; i < Math.min(at + 5, count - 1); i += 1)
    if (hash[i] === notHash && hash[i + 1] === notIncludedHash) return true
  return false
}

const graphicsWord = hashText('graphics')
const cardWord = hashText('card')
/** `CPU with graphics`: of its own, unless a card is named. */
function isOwnGraphics({ hash }: TitleScanner, at: number, { mask }: WantedClasses): boolean {
  return (mask & WordClass.kindCpu) !== 0 && hash[at] === graphicsWord && hash[at + 1] !== cardWord
}

import { phrases } from '../../text/phrases'
import { anyKind, WordClass } from './lexicon'
import { ofPictures } from './attributeInTitle'
import { isNotIncluded } from './notIncluded'
import type { TitleClasses, WantedClasses } from './titleClasses'
import { TokenKind, Unit, hashText, type TitleScanner } from './titleScanner'

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
  if (kind === TokenKind.mixed && ofPictures.test(scanner.text(i))) return false
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

const graphicsWord = hashText('graphics')
const cardWord = hashText('card')
/** `CPU with graphics`: of its own, unless a card is named. */
function isOwnGraphics({ hash }: TitleScanner, at: number, { mask }: WantedClasses): boolean {
  return (mask & WordClass.kindCpu) !== 0 && hash[at] === graphicsWord && hash[at + 1] !== cardWord
}

import { phrases } from '../../text/phrases'
import { plainText } from '../../text/plainText'
import { minorDigits } from '../../money/currencies'
import { dayNumber } from '../../time/calendarDate'
import type { DropReason, Verdict } from './dropReasons'
import type { Role } from '../../parts/part'
import type { PriceQuery, VariantFacts } from './priceQuery'
import { drivesOutside, ownNames, portableKinds } from '../words/titleWords'
import { compared } from '../../parts/vocabularies'
import { statedBoardSize } from './statedBoardSize'
import { statedCores } from './statedCores'
import { statesOtherSocket } from './statedSocket'
import { statesOtherSpeed } from './statedSpeed'
import type { SoldRecord } from '../sales/soldRecord'
import { saysAccessory } from './accessoryInTitle'
import { saysDamaged } from './damageInTitle'
import { saysLot } from './lotInTitle'
import { statedQuantity } from './quantityInTitle'
import { TitleClasses, type WantedClasses } from './titleClasses'
import {
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
} from './advertisement'
import { classesOf, WordClass } from './lexicon'
import {
  compoundIn,
  endsAsBad,
  endsInExchange,
  endsInMachine,
  isQuestion,
  saysCompared,
  saysFrail,
  saysJoinedBefore,
  saysJoinedOther,
  saysOnlyOther,
  saysOtherOfLine,
  saysWithMachine,
  saysSizes,
  saysUpgradeKit,
} from './shapes'
import { otherThanMachine, screens, thingAround } from './machineInTitle'
import { modelEnding, nameEnding } from './modelEnding'
import { normaliseTitle } from './normaliseTitle'
import { findMisspelt, findPhrase, phrase, phraseLengthAt, type Phrase } from './phrase'
import { saidOutright } from './saidOutright'
import { StatedVariant, variantClash } from './statedVariant'
import { hashText, TitleScanner, TokenKind } from './titleScanner'

/** The words for a kind of part, said of the thing itself. */
const roleClass: Readonly<Record<Role, number>> = {
  cpu: WordClass.kindCpu,
  motherboard: WordClass.kindBoard,
  memory: WordClass.kindMemory,
  graphics: WordClass.kindGraphics,
  storage: WordClass.kindStorage,
  supply: WordClass.kindSupply,
  case: WordClass.kindCase,
  cooler: WordClass.kindCooler,
  donor: WordClass.machine,
  extra: 0,
}

/**
 * A price query prepared for many records. `judge` answers what one record's own fields and title say against it, in
 * the order of `dropReasons` from `outside-window` to `make`; null where nothing does. Duplicates, prices and
 * outliers need the other records and are not judged here.
 *
 * Words are matched on normalised tokens, never on substrings. What a title leaves out is not held against it,
 * except the words that must appear.
 */
export class Sieve {
  private readonly scanner = new TitleScanner()
  private readonly classes = new TitleClasses()
  private readonly stated = new StatedVariant()
  private readonly must: readonly Phrase[]
  private readonly mustNot: readonly Phrase[]
  private readonly siblings: readonly Phrase[]
  private readonly makes: readonly Phrase[]
  private readonly conditions: ReadonlySet<string>
  private readonly manners: ReadonlySet<string>
  private readonly wanted: WantedClasses
  /** Words asked for, and those that name the thing itself by its kind. */
  private readonly names: ReadonlySet<number>
  private readonly takesDamaged: boolean
  private readonly asOfDay: number
  private readonly dayMemo = new Map<string, number>()

  constructor(private readonly query: PriceQuery) {
    minorDigits(query.currency)
    this.must = query.must.map(phrase)
    this.mustNot = query.mustNot.map(phrase)
    this.siblings = (query.variant?.siblings ?? []).map(phrase)
    this.makes = (query.makes ?? []).map(phrase)
    this.conditions = new Set(query.conditions)
    this.manners = new Set(query.manners)
    this.takesDamaged = this.conditions.has('damaged')
    this.asOfDay = dayNumber(query.asOf, 'query.asOf')
    const hashes = new Set(query.must.flatMap(normaliseTitle).map(hashText))
    this.names = new Set([...hashes, ...(ownNames[query.role ?? 'extra'] ?? []).map(hashText)])
    const { capacityGb, kitCount, memoryGeneration, module } = query.variant ?? {}
    let mask = 0
    for (const hash of hashes) mask |= classesOf(hash)
    if (query.role) mask |= roleClass[query.role]
    this.wanted = {
      mask,
      hashes,
      isCooler: query.role === 'cooler',
      countsModules:
        query.role === undefined || query.role === 'memory'
          ? (kitCount ?? memoryGeneration ?? module) !== undefined || (mask & WordClass.kindMemory) !== 0
          : false,
      ...(capacityGb === undefined ? {} : { capacityGb }),
    }
  }

  /** Day number of a sale; memoised, since a file has few different dates. Throws `not-a-date`. */
  day(date: string): number {
    let day = this.dayMemo.get(date)
    if (day === undefined) {
      day = dayNumber(date, 'soldOn')
      this.dayMemo.set(date, day)
    }
    return day
  }

  /** Whole days from a sale's day to the as-of date; negative for a sale in its future. */
  age(day: number): number {
    return this.asOfDay - day
  }

  /** Hash of the title that `judge` has just passed, in normal form. */
  lastTitleHash(): number {
    return this.scanner.titleHash()
  }

  judge(record: SoldRecord, day = this.day(record.soldOn)): Verdict | null {
    const { scanner, classes, query } = this
    const age = this.age(day)
    if (age < 0) return drop('outside-window', `sold ${-age} days after the date of this reading`)
    if (age >= query.windowDays)
      return drop('outside-window', `${age} days old, the window is ${query.windowDays}`)
    scanner.scan(record.title)
    classes.read(scanner)
    if (!this.conditions.has(record.condition))
      return drop('condition', `${record.condition} is not accepted`)
    if (!this.takesDamaged) {
      const damage =
        saysDamaged(scanner, classes) || saysBroken(scanner) || saysFrail(scanner) || endsAsBad(scanner)
      if (damage !== '') return drop('condition', `the title says "${damage}"`)
    }
    const worn = query.role === 'storage' ? wornOut(record.title) : null
    if (worn !== null && !this.takesDamaged) return drop('condition', `${worn} % of its life is left`)
    if (!this.manners.has(record.manner)) return drop('manner', `sold by ${record.manner}`)
    for (const word of this.must) {
      if (findPhrase(scanner, word) < 0 && !(query.forgiveSlips && findMisspelt(scanner, word) >= 0))
        return drop('missing-word', `"${word.text}" is not in the title`)
    }
    for (const word of this.mustNot) {
      if (findPhrase(scanner, word) >= 0) return drop('unwanted-word', `"${word.text}" is in the title`)
    }
    if (isQuestion(record.title)) return drop('unwanted-word', 'it is a question')
    const wanting = saysWanted(scanner) || endsInExchange(scanner)
    if (wanting !== '') return drop('unwanted-word', `somebody wants or swaps: "${wanting}"`)
    return this.judgeContents(record)
  }

  private judgeContents(record: SoldRecord): Verdict | null {
    const { scanner, classes, query, wanted } = this
    const outright =
      query.thing === 'machine' ? null : saidOutright(record.title, query.role, this.takesDamaged)
    if (outright) return outright
    for (const sibling of this.siblings) {
      if (this.means(sibling)) return drop('wrong-variant', `the title says "${sibling.text}"`)
    }
    if (query.variant) {
      this.stated.read(scanner, wanted.countsModules)
      const clash =
        variantClash(this.stated, scanner, query.variant) || this.otherMake(record.title, query.variant)
      if (clash !== '') return drop('wrong-variant', clash)
    }
    const ending = this.endingOf(record.title)
    if (ending !== '') return drop('wrong-variant', `"${ending}" behind the number makes it another model`)
    if (query.thing === 'machine') return otherThanMachine(scanner, wanted.hashes)
    const clashOfWords = this.wordClash()
    if (clashOfWords !== '') return drop('wrong-variant', `the title says "${clashOfWords}"`)
    if (!isMachineRole(query.role)) {
      const machine = saysMachine(scanner, wanted.hashes) || endsInMachine(scanner, wanted.hashes, query.role)
      if (machine !== '') return drop('lot', 'a whole machine')
    }
    const shape = this.shapeClash()
    if (shape) return shape
    if (isSized(query.role) && severalSizes.test(record.title))
      return drop('lot', 'several sizes to choose from')
    const forIt = saysForIt(scanner, this.firstWanted())
    if (forIt !== '') return drop('accessory', `"${forIt} …" for it`)
    const other =
      saysWithIt(scanner, this.firstWanted()) ||
      (query.role === 'donor' ? '' : saysWithModel(scanner, wanted.hashes))
    if (other !== '') return drop('lot', `comes with "${other} …"`)
    const choice = isMachineRole(query.role) ? '' : saysChoice(scanner, wanted.hashes)
    if (choice !== '') return drop('lot', `also "${choice}"`)
    const along = query.role === 'donor' ? thingAround(scanner, screens) : ''
    if (along !== '') return drop('lot', `comes with "${along}"`)
    const lot = saysLot(scanner, classes, wanted)
    if (lot !== '') return drop('lot', lot)
    const accessory =
      saysAccessory(scanner, classes, wanted) ||
      saysThingForIt(scanner, this.names) ||
      saysIncomplete(scanner, query.role) ||
      (query.role === undefined || query.role === 'extra' ? '' : saysPieceFirst(scanner, this.names)) ||
      (query.role === 'extra' ? '' : saysPieceAtEnd(scanner, this.names)) ||
      (query.role === 'donor' ? saysPartOfMachine(scanner, wanted.hashes) : '')
    if (accessory !== '') return drop('accessory', accessory)
    const said = statedQuantity(scanner, classes, wanted)
    if (said === -1) return drop('quantity', 'the title does not say how many for the price')
    if (said > 1 && record.quantity !== said) {
      return drop('quantity', `the title says ${said}, the record ${record.quantity ?? 'nothing'}`)
    }
    if (this.makes.length > 0 && !this.makes.some((make) => findPhrase(scanner, make) >= 0)) {
      return drop('make', 'none of the known makes is in the title')
    }
    return null
  }

  /** What the title is by its shape, where that is not the thing asked for. */
  private shapeClash(): Verdict | null {
    const { scanner, wanted, names } = this
    const { role } = this.query
    const compared = saysCompared(scanner, wanted.hashes)
    if (compared !== '') return drop('unwanted-word', `compares: "${compared}"`)
    const before =
      role === undefined || role === 'donor'
        ? ''
        : saysJoinedBefore(scanner, role, this.firstWanted()) ||
          saysJoinedOther(scanner, role, wanted.hashes, this.firstWanted())
    if (before !== '') return drop('lot', `"${before}" as well`)
    const line = namesByNumber(role) ? saysOtherOfLine(scanner, wanted.hashes) : ''
    if (line !== '') return drop('wrong-variant', `"${line}" comes first`)
    const around = isMachineRole(role) ? '' : saysWithMachine(scanner, wanted.hashes)
    if (around !== '') return drop('lot', `in a machine: "${around}"`)
    const sizes = saysSizes(scanner, role)
    if (sizes !== '') return drop('lot', `a machine with ${sizes}`)
    const kit = saysUpgradeKit(scanner)
    if (kit !== '' && role !== 'donor') return drop('lot', kit)
    const compound = compoundIn(scanner, names, role)
    if (compound?.head === 'piece') return drop('accessory', compound.word)
    if (compound && !(compound.head === 'machine' && isMachineRole(role))) return drop('lot', compound.word)
    const only = role === 'extra' ? '' : saysOnlyOther(scanner, names)
    return only === '' ? null : drop('accessory', only)
  }

  /** Another size, speed, socket or number of cores than the one asked for, in words; '' where the title states none. */
  private otherMake(title: string, variant: VariantFacts): string {
    const { formFactor, speedMts, cores, socket } = variant
    if (variant.interface === 'nvme' && twoAndHalfInch.test(title)) return 'a drive of 2.5 inches'
    if (variant.drive === 'ssd' && turning.test(title)) return 'a drive that turns'
    const plain = cores === undefined && socket === undefined ? '' : plainText(title)
    const said = cores === undefined ? null : statedCores(plain)
    if (said !== null && said !== cores) return `states ${said} cores, wanted ${cores}`
    if (socket !== undefined && statesOtherSocket(plain, socket)) return `another socket than ${socket}`
    const size = formFactor === undefined ? '' : statedBoardSize(this.scanner)
    if (size !== '' && compared(size) !== compared(formFactor!)) return `a board of size ${size}`
    return speedMts !== undefined && statesOtherSpeed(this.scanner, speedMts)
      ? `another speed than ${speedMts}`
      : ''
  }

  /** Where the first of the words asked for stands. */
  private firstWanted(): number {
    let first = this.scanner.count
    for (const word of this.must) {
      const at = findPhrase(this.scanner, word)
      if (at >= 0 && at < first) first = at
    }
    return first === this.scanner.count ? 0 : first
  }

  /** The ending by which the title means another model than the number that is asked for; '' where there is none. */
  private endingOf(title: string): string {
    const { scanner, wanted } = this
    const isSizedOnly = !namesByNumber(this.query.role)
    for (const word of this.must) {
      const at = findPhrase(scanner, word)
      if (at < 0) continue
      const last = at + phraseLengthAt(scanner, word, at) - 1
      const kind = scanner.kind[last]!
      if (word === this.must.at(-1) && !wanted.hashes.has(scanner.hash[last + 1] ?? -1)) {
        const named = nameEnding(scanner, last)
        if (named !== '') return named
      }
      if (isSizedOnly) continue
      if (kind !== TokenKind.number && kind !== TokenKind.mixed && kind !== TokenKind.timesAfter) continue
      if (last + 1 < scanner.count && wanted.hashes.has(scanner.hash[last + 1]!)) continue
      const ending = modelEnding(scanner, last, title)
      if (ending !== '') return ending
    }
    return ''
  }

  /** A word of another kind of drive or supply than the one asked for. */
  private wordClash(): string {
    const { role, variant } = this.query
    const others = role === undefined ? [] : otherKinds(role, variant, this.wanted.hashes)
    const said = others.find((hash) => {
      for (let i = 0; i < this.scanner.count; i += 1) if (this.scanner.hash[i] === hash) return true
      return false
    })
    if (said === undefined) return ''
    for (let i = 0; i < this.scanner.count; i += 1)
      if (this.scanner.hash[i] === said) return this.scanner.text(i)
    return ''
  }

  /** Whether the title means the sister model; not where its name is the start of the longer name wanted. */
  private means(sibling: Phrase): boolean {
    for (
      let at = findPhrase(this.scanner, sibling);
      at >= 0;
      at = findPhrase(this.scanner, sibling, at + 1)
    ) {
      const length = phraseLengthAt(this.scanner, sibling, at)
      const partOfWanted = this.must.some((word) => {
        for (let start = Math.max(0, at - 3); start <= at; start += 1) {
          const wantedLength = phraseLengthAt(this.scanner, word, start)
          if (wantedLength > length && start + wantedLength >= at + length) return true
        }
        return false
      })
      const next = at + length < this.scanner.count ? this.scanner.hash[at + length]! : -1
      const siblingHashes = sibling.forms[0] ?? []
      const continuesWanted =
        this.wanted.hashes.has(next) &&
        !siblingHashes.includes(next) &&
        siblingHashes.every((hash) => this.wanted.hashes.has(hash))
      if (!partOfWanted && !continuesWanted) return true
    }
    return false
  }
}

/** Sizes and speeds stand behind the names of memory and drives, models behind the others. */
const namesByNumber = (role: Role | undefined) => role !== 'memory' && role !== 'storage'
/** `12% health`: below this share of its life a drive is no comp of the others. */
const leastHealth = 60
const healthSaid =
  /\b(\d{1,2}) ?%\W{0,2}(?:of )?(?:health|life|spare|wear left|endurance left|left|zustand|gesundheit|halsa|hälsa|santé|sante|salud|vida)|(?:health|life|spare|zustand|lebensdauer|hälsa|santé|salud)\W{0,2}(\d{1,2}) ?%/i
const wearSaid = /\b(\d{1,2}|100) ?% (?:used|worn|wear|verbraucht|usé|slitage)\b/i
function wornOut(title: string): number | null {
  const said = healthSaid.exec(title)
  const used = wearSaid.exec(title)
  const health = said ? Number(said[1] ?? said[2]) : used ? 100 - Number(used[1]) : 100
  return health < leastHealth ? health : null
}

const isMachineRole = (role: Role | undefined) => role === 'donor' || role === 'case'
const isSized = (role: Role | undefined) => role === 'storage' || role === 'memory' || role === 'graphics'
/** `256/512/1TB`, `8GB or 16GB`. */
const severalSizes =
  /\b\d+ ?(?:gb|tb)? ?\/ ?\d+ ?(?:gb|tb)? ?(?:\/ ?\d+ ?)?(?:gb|tb)\b|\b\d+ ?(?:gb|tb)? (?:or|oder|ou|eller|o) \d+ ?(?:gb|tb)\b|\b(?:from|von|de|fran|från) \d+ ?(?:gb|tb)? (?:to|bis|a|till|à) \d+ ?(?:gb|tb)\b/i

const [sfx, tfx, nvme, sata, msata, m2, pcie] = ['sfx', 'tfx', 'nvme', 'sata', 'msata', 'm2', 'pcie'].map(
  hashText,
) as [number, number, number, number, number, number, number]

const twoAndHalfInch = /\b2[.,]5 ?(?:"|''|″|-?inch|in\b|zoll|pouces|tum|pulgadas)/i
const turning = /\b\d{4,5} ?rpm\b/i

const portable = portableKinds.map(hashText)
/** Of an office machine: one to be carried, or with a screen of its own. */
const carried = phrases('notebook, laptop, aio, chromebook, micro, tiny, usff').map(hashText)
const drivesOutsideHashes = drivesOutside.map(hashText)

const spinning = ['hdd', 'harddrive', 'harddisk'].map(hashText)
const solid = ['ssd', 'm2'].map(hashText)

/** Words of the other kinds: a drive of another interface or kind, a supply of another shape. */
function otherKinds(
  role: Role,
  variant: VariantFacts | undefined,
  wanted: ReadonlySet<number>,
): readonly number[] {
  const unasked = (hashes: readonly number[]) => hashes.filter((hash) => !wanted.has(hash))
  if (role === 'supply') return unasked([sfx, tfx])
  if (role === 'cpu' || role === 'graphics') return unasked(portable)
  if (role === 'donor') return unasked(carried)
  if (role !== 'storage') return []
  const { interface: kind, drive } = variant ?? {}
  const others = [...drivesOutsideHashes, ...(drive === 'ssd' ? spinning : drive === 'hdd' ? solid : [])]
  return unasked(
    kind === undefined ? others : [...(kind === 'nvme' ? [sata, msata] : [nvme, msata, m2, pcie]), ...others],
  )
}

function drop(reason: DropReason, detail: string): Verdict {
  return { reason, detail }
}

import { classesOf, WordClass } from './lexicon'
import { TokenKind, Unit, hashText, type TitleScanner } from './titleScanner'
import type { VariantFacts } from './priceQuery'

const kitWord = hashText('kit')
const dualWord = hashText('dual')
const numberWords = new Map(
  [hashText('one'), hashText('two'), hashText('three'), hashText('four')].map((hash, index) => [
    hash,
    index + 1,
  ]),
)
const generationByHash = new Map<number, number>()
for (const generation of [2, 3, 4, 5]) {
  for (const spelling of [`ddr${generation}`, `pc${generation}`, `ddr${generation}l`, `pc${generation}l`]) {
    generationByHash.set(hashText(spelling), generation)
  }
}

/** What a scanned title says about capacity and kit; scratch space reused from title to title. */
export class StatedVariant {
  /** Whole capacities that the title can be read to state, in GB. */
  readonly totals: number[] = []
  /** Capacities of single modules of a kit, which must not be taken for the whole. */
  readonly moduleSizes: number[] = []
  kitCount = 0
  generations = 0
  laptop = false
  desktop = false
  server = false

  /** @param countsModules whether `8gb x2` is a kit of two (memory) rather than two things of 8 GB */
  read(scanner: TitleScanner, countsModules: boolean): void {
    this.totals.length = 0
    this.moduleSizes.length = 0
    this.kitCount = 0
    this.generations = 0
    this.laptop = this.desktop = this.server = false
    for (let i = 0; i < scanner.count; i += 1) {
      const kind = scanner.kind[i]!
      if (kind === TokenKind.measure) this.readMeasure(scanner, i, countsModules)
      else if (kind === TokenKind.multiple) this.readMultiple(scanner, i, countsModules)
      else if (kind === TokenKind.mixed || kind === TokenKind.word) this.readWord(scanner, i)
    }
  }

  private readMeasure(scanner: TitleScanner, i: number, countsModules: boolean): void {
    const gigabytes = inGigabytes(scanner.first[i]!, scanner.unit[i]!)
    if (gigabytes === 0) return
    if (!countsModules) {
      this.totals.push(gigabytes)
      return
    }
    const next = i + 1 < scanner.count ? scanner.kind[i + 1]! : -1
    const before = i > 0 ? scanner.kind[i - 1]! : -1
    const countBefore = this.countBefore(scanner, i)
    if (next === TokenKind.timesAfter) this.addKit(scanner.first[i + 1]!, gigabytes)
    else if (before === TokenKind.timesBefore) this.addKit(scanner.first[i - 1]!, gigabytes)
    else if (countBefore > 1) this.addKit(countBefore, gigabytes)
    else this.totals.push(gigabytes)
  }

  /** `2 sticks of 8gb` → 2. */
  private countBefore(scanner: TitleScanner, i: number): number {
    let noun = i - 1
    if (noun >= 0 && (classesOf(scanner.hash[noun]!) & WordClass.ofWord) !== 0) noun -= 1
    if (noun < 1 || (classesOf(scanner.hash[noun]!) & WordClass.countNoun) === 0) return 0
    return scanner.kind[noun - 1] === TokenKind.number
      ? scanner.first[noun - 1]!
      : (numberWords.get(scanner.hash[noun - 1]!) ?? 0)
  }

  private readMultiple(scanner: TitleScanner, i: number, countsModules: boolean): void {
    const unit = scanner.unit[i]!
    if (unit !== Unit.none && unit !== Unit.gb) return
    if (!countsModules) this.totals.push(scanner.second[i]!)
    else if (scanner.first[i]! <= 8) this.addKit(...kitOf(scanner.first[i]!, scanner.second[i]!, unit))
  }

  private addKit(count: number, size: number): void {
    this.kitCount = count
    this.totals.push(count * size)
    if (count > 1) this.moduleSizes.push(size)
  }

  private readWord(scanner: TitleScanner, i: number): void {
    const hash = scanner.hash[i]!
    const generation = generationByHash.get(hash)
    if (generation !== undefined) this.generations |= 1 << generation
    if (hash === soHash && scanner.hash[i + 1] === dimmHash && i + 1 < scanner.count)
      this.setLaptop(scanner, i)
    const classes = classesOf(hash)
    if (classes === 0) return
    if (classes & WordClass.laptop) this.setLaptop(scanner, i)
    if (classes & WordClass.desktopModule) this.desktop = true
    if (classes & WordClass.server && !(classBefore(scanner, i, 1) & WordClass.negation)) this.server = true
    if (classes & WordClass.countNoun && this.kitCount === 0 && i > 0) {
      const count =
        scanner.kind[i - 1] === TokenKind.number
          ? scanner.first[i - 1]!
          : (numberWords.get(scanner.hash[i - 1]!) ?? 0)
      const sizeFollows =
        scanner.kind[i + 1] === TokenKind.measure ||
        (i + 1 < scanner.count && (classesOf(scanner.hash[i + 1]!) & WordClass.ofWord) !== 0)
      if (count >= 1 && count <= 8 && !sizeFollows) this.kitCount = count
    }
    if (classes & WordClass.pair && this.kitCount === 0) this.kitCount = 2
    if (classes & WordClass.single && this.kitCount === 0 && !isNoise(scanner, i)) this.kitCount = 1
  }

  private setLaptop(scanner: TitleScanner, i: number): void {
    const denied = (classBefore(scanner, i, 1) | classBefore(scanner, i, 2)) & WordClass.negation
    if (!denied) this.laptop = true
  }
}

/** `8x2` without a unit is two modules of 8 GB, as `2x8` is; `4x2gb` says which is which. */
function kitOf(first: number, second: number, unit: number): [count: number, size: number] {
  const isTurned = unit === Unit.none && first > second && second <= 4 && first >= 4
  return isTurned ? [second, first] : [first, second]
}

const soHash = hashText('so')
const dimmHash = hashText('dimm')

/** `single fan`, `single slot`: said of something else than modules. */
function isNoise(scanner: TitleScanner, i: number): boolean {
  const next = i + 1 < scanner.count ? classesOf(scanner.hash[i + 1]!) : 0
  return (next & (WordClass.accessory | WordClass.forWord)) !== 0
}

function classBefore(scanner: TitleScanner, i: number, distance: number): number {
  return i - distance >= 0 ? classesOf(scanner.hash[i - distance]!) : 0
}

function inGigabytes(value: number, unit: number): number {
  if (unit === Unit.gb) return value
  if (unit === Unit.tb) return value * 1000
  // `4096MB`; a cache or a rate is no such multiple
  if (unit === Unit.mb && value >= 1024 && value % 1024 === 0) return value / 1024
  return 0
}

/** Whether 1000 and 1024 based readings of a capacity are the same drive. */
function sameCapacity(stated: number, wanted: number): boolean {
  return (
    stated === wanted ||
    (wanted >= 1000 && (stated * 1024 === wanted * 1000 || stated * 1000 === wanted * 1024))
  )
}

/**
 * What in the title contradicts the wanted variant, in words; '' where nothing does. What a title leaves out does
 * not contradict, except that a laptop module must be called one.
 */
export function variantClash(stated: StatedVariant, scanner: TitleScanner, wanted: VariantFacts): string {
  const { capacityGb, kitCount, memoryGeneration, module } = wanted
  if (capacityGb !== undefined && stated.totals.length > 0) {
    const plain = stated.totals.filter(
      (total) => !stated.moduleSizes.includes(total) || stated.totals.length === 1,
    )
    if (!plain.some((total) => sameCapacity(total, capacityGb)))
      return `states ${plain[0]} GB, wanted ${capacityGb} GB`
  }
  if (kitCount !== undefined && stated.kitCount > 0 && stated.kitCount !== kitCount) {
    return `states ${stated.kitCount} to the kit, wanted ${kitCount}`
  }
  if (kitCount === 1 && stated.kitCount === 0 && saysKit(scanner))
    return 'states a kit, wanted a single module'
  if (memoryGeneration !== undefined && stated.generations !== 0) {
    const generation = Number(/\d/.exec(memoryGeneration)?.[0] ?? 0)
    if ((stated.generations & (1 << generation)) === 0)
      return `states another memory generation, wanted ${memoryGeneration}`
  }
  if (module === 'desktop' && stated.laptop && !stated.desktop) return 'a laptop module'
  if (module === 'desktop' && stated.server) return 'a server module'
  // memory that says nothing is desktop memory: a laptop module is always called one
  if (module === 'laptop' && !stated.laptop)
    return stated.desktop ? 'a desktop module' : 'does not say that it is a laptop module'
  return ''
}

function saysKit(scanner: TitleScanner): boolean {
  for (let i = 0; i < scanner.count; i += 1)
    if (scanner.hash[i] === kitWord || scanner.hash[i] === dualWord) return true
  return false
}

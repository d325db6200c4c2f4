import { classesOf, WordClass } from './lexicon'
import { TokenKind, hashText, type TitleScanner } from './titleScanner'

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

const [powerWord, supplyWord] = [hashText('power'), hashText('supply')]

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

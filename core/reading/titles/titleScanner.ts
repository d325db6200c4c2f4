/**
 * Cuts titles into normalised tokens without making a string for each of them.
 *
 * A million titles are ten million tokens; as strings they cost seconds, as numbers a fraction of one. The scanner
 * works on character codes in one reused buffer and leaves a 52-bit hash a token (two independent 26-bit lanes), so
 * that comparing tokens is comparing numbers. Two different words of a million-word vocabulary share a hash with a
 * probability below 1e-3 in total.
 *
 * Normal form: lower case, no accents, punctuation separates; a number and its unit are one token however they were
 * written (`16 GB`, `16gb`, `16 gig` → `16gb`), so is a multiple (`2 x 8 GB`, `2×8gb` → `2x8gb`), so is a memory
 * generation (`DDR 4` → `ddr4`); a name run together with its number is two (`tarn640` → `tarn` `640`), a number
 * with a letter behind it stays one (`640s`); an apostrophe inside a word is left out (`won't` → `wont`).
 */

/** What a token is; the figures of a structured token stand in `first`, `second`, `unit`. */
export const TokenKind = {
  word: 0,
  number: 1,
  /** `16gb`, `550w`: first = 16, unit set. */
  measure: 2,
  /** `2x8`: first = 2, second = 8; unit set where stated. */
  multiple: 3,
  /** `2x`: first = 2. */
  timesBefore: 4,
  /** `x2`: first = 2. */
  timesAfter: 5,
  /** `640s`, `n4`: letters and digits that are none of the above. */
  mixed: 6,
  /** `+`, `&` between things. */
  plus: 7,
  comma: 8,
} as const
export type TokenKind = (typeof TokenKind)[keyof typeof TokenKind]

/** Units a measure may carry; 0 is none. */
export const Unit = { none: 0, gb: 1, tb: 2, mb: 3, mhz: 4, ghz: 5, w: 6, mm: 7 } as const
export type Unit = (typeof Unit)[keyof typeof Unit]

const unitSpellings: readonly (readonly [string, Unit, string])[] = [
  ['gb', Unit.gb, 'gb'],
  ['gig', Unit.gb, 'gb'],
  ['gigs', Unit.gb, 'gb'],
  ['g', Unit.gb, 'gb'],
  ['go', Unit.gb, 'gb'],
  ['tb', Unit.tb, 'tb'],
  ['t', Unit.tb, 'tb'],
  ['mb', Unit.mb, 'mb'],
  ['mhz', Unit.mhz, 'mhz'],
  ['ghz', Unit.ghz, 'ghz'],
  ['w', Unit.w, 'w'],
  ['watt', Unit.w, 'w'],
  ['watts', Unit.w, 'w'],
  ['mm', Unit.mm, 'mm'],
]
const unitsBySpelling = new Map(
  unitSpellings.map(([spelling, unit, canonical]) => [hashText(spelling), { unit, canonical }]),
)

/** `1 To`: in capitals, since `1 to 4` counts. */
const frenchTerabytes = /(\d ?)To\b(?! ?\d)/g

const maxTokens = 128
const maxChars = 2048
const lookAhead = 6
const CHAR_SLASH = 47
/** A bare `2 x 8` is taken for a multiple up to this module size; `2 x 640` is two things of model 640. */
const largestBareMultiple = 128
/** No more pieces than that are sold as one: `3190x` is no count. */
const mostTimes = 32

const CHAR_0 = 48
const CHAR_9 = 57
const CHAR_A = 97
const CHAR_Z = 122
const CHAR_X = 120
const CHAR_POINT = 46
const APOSTROPHE = 39
const STAR = 42

function isDigit(code: number): boolean {
  return code >= CHAR_0 && code <= CHAR_9
}

/** Hash of a text already in normal form; equals the scanner's hash of the same token. */
export function hashText(text: string): number {
  let a = 0x811c9dc5
  let b = 0x9747b28c
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i)
    a = Math.imul(a ^ code, 0x01000193)
    b = Math.imul(b ^ code, 0x5bd1e995)
    b ^= b >>> 15
  }
  return combineLanes(a, b)
}

function combineLanes(a: number, b: number): number {
  return ((a ^ (a >>> 17)) & 0x3ffffff) * 0x4000000 + ((b ^ (b >>> 13)) & 0x3ffffff)
}

export class TitleScanner {
  /** Number of tokens of the last title. */
  count = 0
  readonly hash = new Float64Array(maxTokens)
  readonly kind = new Uint8Array(maxTokens)
  readonly unit = new Uint8Array(maxTokens)
  readonly first = new Float64Array(maxTokens)
  readonly second = new Float64Array(maxTokens)

  private readonly source = new Uint16Array(maxChars)
  private readonly out = new Uint16Array(maxChars * 2)
  private readonly start = new Int32Array(maxTokens)
  private readonly end = new Int32Array(maxTokens)
  private outLength = 0

  /** Scans a title; the result stands in the public arrays until the next call. Text past 2 048 characters is ignored. */
  scan(title: string): void {
    this.count = 0
    this.outLength = 0
    const length = this.load(title.includes('To') ? title.replace(frenchTerabytes, '$1TB') : title)
    const source = this.source
    let i = 0
    while (i < length) {
      const code = source[i]!
      if (isTokenCode(code)) {
        let end = i + 1
        while (end < length && (isTokenCode(source[end]!) || this.isDecimalPoint(end, length))) end += 1
        this.readRun(i, end)
        i = end
      } else {
        if (code === 43 || code === 38) this.readPlus(i, length)
        else if (code === 44) this.mark(TokenKind.comma)
        else if (code === 47 && this.standsAlone(i, length)) this.mark(TokenKind.plus)
        i += 1
      }
    }
    for (let token = 0; token < this.count; token += 1)
      this.hash[token] = this.hashOut(this.start[token]!, this.end[token]!)
    this.clearBehind()
  }

  /** Questions look a few tokens ahead: behind the end stands nothing, and not what an earlier title left there. */
  private clearBehind(): void {
    for (let token = this.count; token < Math.min(this.count + lookAhead, maxTokens); token += 1) {
      this.hash[token] = -1
      this.kind[token] = TokenKind.word
      this.unit[token] = Unit.none
      this.first[token] = 0
      this.second[token] = 0
    }
  }

  /** The token as text; for messages and tests, not for matching. */
  text(token: number): string {
    return String.fromCharCode(...this.out.subarray(this.start[token], this.end[token]))
  }

  /** Characters of the token. */
  length(token: number): number {
    return this.end[token]! - this.start[token]!
  }

  /** One number for the whole title in normal form. */
  titleHash(): number {
    return this.hashOut(0, this.outLength)
  }

  private load(title: string): number {
    const length = Math.min(title.length, maxChars)
    let stars = false
    for (let i = 0; i < length; i += 1) {
      const code = title.charCodeAt(i)
      if (code > 127 || code === APOSTROPHE) return this.loadFolded(title)
      if (code === STAR) stars = true
      this.source[i] = code >= 65 && code <= 90 ? code + 32 : code
    }
    if (stars) this.readStars(length)
    return length
  }

  private loadFolded(title: string): number {
    const folded = title
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .replace(/×/g, 'x')
      .replace(/(?<=\p{L})['’](?=\p{L})/gu, '')
      .toLowerCase()
    const length = Math.min(folded.length, maxChars)
    for (let i = 0; i < length; i += 1) this.source[i] = folded.charCodeAt(i)
    this.readStars(length)
    return length
  }

  /** A star touching a figure is a times sign (`2*8`, `8gb *2`); one that stands alone parts things. */
  private readStars(length: number): void {
    const { source } = this
    for (let i = 0; i < length; i += 1) {
      if (
        source[i] === STAR &&
        ((i > 0 && isDigit(source[i - 1]!)) || (i + 1 < length && isDigit(source[i + 1]!)))
      )
        source[i] = CHAR_X
    }
  }

  private isDecimalPoint(i: number, length: number): boolean {
    return (
      this.source[i] === CHAR_POINT &&
      i + 1 < length &&
      isDigit(this.source[i - 1]!) &&
      isDigit(this.source[i + 1]!)
    )
  }

  /** A plus between two things counts; one glued to the word before it (`80+ gold`) belongs to that word. */
  private readPlus(i: number, length: number): void {
    const gluedBefore = i > 0 && isTokenCode(this.source[i - 1]!)
    const gluedAfter = i + 1 < length && isTokenCode(this.source[i + 1]!)
    if (gluedBefore === gluedAfter) this.mark(TokenKind.plus)
  }

  /** `board / case`: a stroke with room on both sides divides things, `spares/repair` does not. */
  private standsAlone(i: number, length: number): boolean {
    return i > 0 && i + 1 < length && this.source[i - 1] === 32 && this.source[i + 1] === 32
  }

  private readRun(from: number, to: number): void {
    const source = this.source
    let i = from
    while (i < to) {
      const digitsEnd = this.skipDigits(i, to)
      if (digitsEnd > i) i = this.readFromDigits(i, digitsEnd, to)
      else {
        let lettersEnd = i
        while (lettersEnd < to && !isDigit(source[lettersEnd]!)) lettersEnd += 1
        const numberEnd = this.skipDigits(lettersEnd, to)
        if (lettersEnd === to) {
          this.emitWord(i, to)
          i = to
        } else if (lettersEnd - i === 1 && source[i] === CHAR_X && numberEnd === to) {
          this.emit(TokenKind.timesAfter, i, to, this.valueOf(lettersEnd, to))
          i = to
        } else if (lettersEnd - i >= 3 && numberEnd - lettersEnd >= 2) {
          this.emitWord(i, lettersEnd)
          i = lettersEnd
        } else {
          this.emit(TokenKind.mixed, i, to, 0)
          i = to
        }
      }
    }
  }

  private readFromDigits(from: number, digitsEnd: number, to: number): number {
    const source = this.source
    const value = this.valueOf(from, digitsEnd)
    if (digitsEnd === to) {
      this.emitNumber(from, to, value)
      return to
    }
    if (source[digitsEnd] === CHAR_X) {
      const secondEnd = this.skipDigits(digitsEnd + 1, to)
      if (digitsEnd + 1 === to) {
        // `3190X` is a model, `2x` a count
        this.emit(value <= mostTimes ? TokenKind.timesBefore : TokenKind.mixed, from, to, value)
        return to
      }
      if (secondEnd > digitsEnd + 1) {
        this.emit(TokenKind.multiple, from, secondEnd, value, this.valueOf(digitsEnd + 1, secondEnd))
        return this.readUnitInto(secondEnd, to)
      }
    }
    let lettersEnd = digitsEnd
    while (lettersEnd < to && !isDigit(source[lettersEnd]!)) lettersEnd += 1
    const whole = unitsBySpelling.get(this.hashSource(digitsEnd, lettersEnd))
    const prefix = unitsBySpelling.get(this.hashSource(digitsEnd, Math.min(digitsEnd + 2, lettersEnd)))
    if (lettersEnd === to && whole && isPlausible(value, lettersEnd - digitsEnd)) {
      this.emitNumber(from, digitsEnd, value)
      this.attachUnit(whole.unit, whole.canonical)
      return to
    }
    // `16gbddr4`: the unit, then whatever follows it
    if (to - digitsEnd > 3 && prefix && (prefix.unit === Unit.gb || prefix.unit === Unit.tb)) {
      this.emitNumber(from, digitsEnd, value)
      this.attachUnit(prefix.unit, prefix.canonical)
      return digitsEnd + 2
    }
    this.emit(TokenKind.mixed, from, to, value)
    return to
  }

  private readUnitInto(from: number, to: number): number {
    let lettersEnd = from
    while (lettersEnd < to && !isDigit(this.source[lettersEnd]!)) lettersEnd += 1
    const whole = unitsBySpelling.get(this.hashSource(from, lettersEnd))
    if (whole) {
      this.attachUnit(whole.unit, whole.canonical)
      return lettersEnd
    }
    const prefix = lettersEnd - from > 2 ? unitsBySpelling.get(this.hashSource(from, from + 2)) : undefined
    if (prefix) {
      this.attachUnit(prefix.unit, prefix.canonical)
      return from + 2
    }
    return from
  }

  /** A word that is a unit joins the number before it; an `x` behind a number makes it a count. */
  private emitWord(from: number, to: number): void {
    const last = this.count - 1
    const lastKind = last >= 0 ? this.kind[last] : -1
    if (lastKind === TokenKind.number || (lastKind === TokenKind.multiple && this.unit[last] === Unit.none)) {
      const unit = to - from <= 5 ? unitsBySpelling.get(this.hashSource(from, to)) : undefined
      // `640 - w/ box`, `70 w/ box`: with, not watts
      const isWith = to - from === 1 && this.source[to] === CHAR_SLASH
      if (unit && !isWith && isPlausible(this.first[last]!, to - from)) {
        this.attachUnit(unit.unit, unit.canonical)
        return
      }
      if (
        lastKind === TokenKind.number &&
        to - from === 1 &&
        this.source[from] === CHAR_X &&
        this.first[last]! <= mostTimes
      ) {
        this.kind[last] = TokenKind.timesBefore
        this.append(from, to)
        return
      }
    }
    this.emit(TokenKind.word, from, to, 0)
  }

  private emitNumber(from: number, to: number, value: number): void {
    const last = this.count - 1
    if (last >= 0) {
      if (this.kind[last] === TokenKind.timesBefore && value <= largestBareMultiple) {
        this.kind[last] = TokenKind.multiple
        this.second[last] = value
        this.append(from, to)
        return
      }
      if (this.kind[last] === TokenKind.word) {
        const length = this.end[last]! - this.start[last]!
        const isX = length === 1 && this.out[this.start[last]!] === CHAR_X
        if (isX || (to - from === 1 && this.hashOut(this.start[last]!, this.end[last]!) === ddrHash)) {
          this.kind[last] = isX ? TokenKind.timesAfter : TokenKind.mixed
          this.first[last] = value
          this.append(from, to)
          return
        }
      }
    }
    this.emit(TokenKind.number, from, to, value)
  }

  private attachUnit(unit: Unit, canonical: string): void {
    const last = this.count - 1
    if (last < 0) return
    if (this.kind[last] === TokenKind.number) this.kind[last] = TokenKind.measure
    this.unit[last] = unit
    for (let i = 0; i < canonical.length; i += 1) this.out[this.outLength++] = canonical.charCodeAt(i)
    this.end[last] = this.outLength
  }

  private mark(kind: TokenKind): void {
    if (this.count === maxTokens) return
    this.start[this.count] = this.outLength
    this.end[this.count] = this.outLength
    this.kind[this.count] = kind
    this.unit[this.count] = Unit.none
    this.count += 1
  }

  private emit(kind: TokenKind, from: number, to: number, first: number, second = 0): void {
    if (this.count === maxTokens) return
    const token = this.count
    this.kind[token] = kind
    this.unit[token] = Unit.none
    this.first[token] = first
    this.second[token] = second
    this.start[token] = this.outLength
    this.count += 1
    this.append(from, to)
  }

  /** Writes source characters behind the last token, which thereby grows. */
  private append(from: number, to: number): void {
    for (let i = from; i < to; i += 1) this.out[this.outLength++] = this.source[i]!
    this.end[this.count - 1] = this.outLength
  }

  private skipDigits(from: number, to: number): number {
    let i = from
    while (i < to && (isDigit(this.source[i]!) || (this.source[i] === CHAR_POINT && i > from))) i += 1
    return i
  }

  private valueOf(from: number, to: number): number {
    let value = 0
    let scale = 0
    for (let i = from; i < to; i += 1) {
      const code = this.source[i]!
      if (code === CHAR_POINT) scale = 1
      else {
        value = value * 10 + (code - CHAR_0)
        scale *= 10
      }
    }
    return scale > 0 ? value / scale : value
  }

  private hashSource(from: number, to: number): number {
    return hashCodes(this.source, from, to)
  }

  private hashOut(from: number, to: number): number {
    return hashCodes(this.out, from, to)
  }
}

/** `480 G` is a size, `5400 G` a model with its suffix: a unit of one letter is believed up to 1 024. */
function isPlausible(value: number, unitLength: number): boolean {
  return unitLength > 1 || value <= 1024
}

const ddrHash = hashText('ddr')

function isTokenCode(code: number): boolean {
  return (code >= CHAR_A && code <= CHAR_Z) || (code >= CHAR_0 && code <= CHAR_9) || code > 191
}

function hashCodes(codes: Uint16Array, from: number, to: number): number {
  let a = 0x811c9dc5
  let b = 0x9747b28c
  for (let i = from; i < to; i += 1) {
    const code = codes[i]!
    a = Math.imul(a ^ code, 0x01000193)
    b = Math.imul(b ^ code, 0x5bd1e995)
    b ^= b >>> 15
  }
  return combineLanes(a, b)
}

import { classesOf } from './lexicon'
import { oneSlip } from './oneSlip'
import { hashText, TokenKind, type TitleScanner } from './titleScanner'
import { normaliseTitle } from './normaliseTitle'

/** A wanted or unwanted word (or run of words) of a price query, prepared for matching. */
export interface Phrase {
  /** As the builder wrote it. */
  readonly text: string
  /** Ways to find it: each a run of token hashes that must stand side by side. */
  readonly forms: readonly (readonly number[])[]
  /** The word itself where it is one of letters alone, long enough to be recognised with a slip in it; else ''. */
  readonly forgiving: string
}

/** Prepares a phrase; `640 S` is found as `640 s` and as `640s`, and the other way round. Text without a token is never found. */
export function phrase(text: string): Phrase {
  const tokens = normaliseTitle(text)
  const forms = new Map<string, string[]>()
  const add = (form: string[]) => {
    if (form.length > 0) forms.set(form.join(' '), form)
  }
  add(tokens)
  if (tokens.length > 1) add([tokens.join('')])
  // `650` stands as `650 W` and `120` as `120 mm`
  if (tokens.length === 1 && /^\d{3,4}$/.test(tokens[0]!))
    for (const unit of ['w', 'mm']) add([`${tokens[0]!}${unit}`])
  // `QV8040` as `QV 8040`
  if (tokens.length === 1 && /^[a-z]{1,2}\d{2,}$/.test(tokens[0]!))
    add([tokens[0]!.replace(/\d/g, ''), tokens[0]!.replace(/\D/g, '')])
  add(
    tokens.flatMap((token) =>
      /^\d+[a-z]{1,2}$/.test(token) ? [token.replace(/\D/g, ''), token.replace(/\d/g, '')] : [token],
    ),
  )
  return {
    text,
    forms: [...forms.values()].map((form) => form.map(hashText)),
    forgiving: tokens.length === 1 && /^\p{L}{5,}$/u.test(tokens[0]!) ? tokens[0]! : '',
  }
}

/**
 * Where a phrase stands in the scanned title: index of its first token from `from` on, or −1.
 * Tokens must stand side by side; a comma or plus in between parts them.
 */
export function findPhrase(scanner: TitleScanner, wanted: Phrase, from = 0): number {
  const { hash, kind, count } = scanner
  for (let start = from; start < count; start += 1) {
    if (kind[start]! >= TokenKind.plus) continue
    for (const form of wanted.forms) {
      if (matchesAt(hash, count, form, start)) return start
    }
  }
  return -1
}

/** Where a misspelt form of a one-word phrase stands, or −1. Words that the trade knows are never taken for a slip. */
export function findMisspelt(scanner: TitleScanner, wanted: Phrase): number {
  if (wanted.forgiving === '') return -1
  for (let i = 0; i < scanner.count; i += 1) {
    if (
      scanner.kind[i] !== TokenKind.word ||
      Math.abs(scanner.length(i) - wanted.forgiving.length) > 1 ||
      classesOf(scanner.hash[i]!) !== 0
    )
      continue
    if (oneSlip(wanted.forgiving, scanner.text(i))) return i
  }
  return -1
}

/** How many tokens the phrase takes up at `start`, 0 where it does not stand there. */
export function phraseLengthAt(scanner: TitleScanner, wanted: Phrase, start: number): number {
  let longest = 0
  for (const form of wanted.forms) {
    if (form.length > longest && matchesAt(scanner.hash, scanner.count, form, start)) longest = form.length
  }
  return longest
}

function matchesAt(hash: Float64Array, count: number, form: readonly number[], start: number): boolean {
  if (start + form.length > count) return false
  for (let i = 0; i < form.length; i += 1) if (hash[start + i] !== form[i]) return false
  return true
}

import { TitleScanner } from './titleScanner'

/** Scratch space: a scanner is large, and nothing of one title outlives the call. */
const scanner = new TitleScanner()

/**
 * The tokens of a title in normal form, as text. For previews, messages and search; the sieve compares the
 * scanner's hashes instead.
 *
 * @example normaliseTitle('Palisado 16 GB (2 x 8) DDR 4') // ['palisado', '16gb', '2x8', 'ddr4']
 */
export function normaliseTitle(title: string): string[] {
  scanner.scan(title)
  const tokens: string[] = []
  for (let i = 0; i < scanner.count; i += 1) {
    const text = scanner.text(i)
    if (text !== '') tokens.push(text)
  }
  return tokens
}

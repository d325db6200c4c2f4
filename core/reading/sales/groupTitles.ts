import type { Role } from '../../parts/part'
import { factsInName } from '../specs/factsInName'
import { roleOf } from '../specs/roleOf'
import { classesOf } from '../titles/lexicon'
import { normaliseTitle } from '../titles/normaliseTitle'
import { hashText } from '../titles/titleScanner'
import { languages } from '../words/allWords'
import { plainText, wordsOf } from '../../text/plainText'

/** Titles that look like the same thing, proposed as a part. */
export interface TitleGroup {
  readonly make: string
  readonly name: string
  readonly role: Role | null
  readonly facts: Readonly<Record<string, string | number | boolean | readonly string[]>>
  /** Places of its titles in the list. */
  readonly at: readonly number[]
}

/** Fewer titles than that are no proposal. */
const fewest = 3
const longestName = 4

/**
 * Groups titles by likeness: the run of words with a number in it that most of them share is a name, the capacity that
 * most of those state belongs to it. Titles of other capacities are another group. Words of the trade and of states are
 * no names.
 *
 * @example groupTitles(['Quill 70 8GB', 'quill 70 8gb oc', 'Harrow Quill 70 8GB']) // [{ name: 'Quill 70 8 GB' }]
 */
export function groupTitles(titles: readonly string[]): TitleGroup[] {
  const tokens = titles.map(tokensOf)
  const groups: TitleGroup[] = []
  const rest = new Set(titles.keys())
  while (rest.size >= fewest) {
    const name = commonName(tokens, rest)
    if (!name) break
    const named = [...rest].filter((at) => startOf(tokens[at]!, name) >= 0)
    const size = commonSize(tokens, named)
    const own = named.filter(
      (at) => size === null || sizesOf(tokens[at]!).length === 0 || sizesOf(tokens[at]!).includes(size),
    )
    const members = own.length >= fewest ? own : named
    groups.push(groupOf(titles, tokens, members, name, own.length >= fewest ? size : null))
    for (const at of members) rest.delete(at)
  }
  return groups
    .map((group) => ({ ...group, role: group.role ?? sisterRole(group, groups) }))
    .sort((a, b) => b.at.length - a.at.length)
}

/** The words of a title; the watts of a supply are the number of its model with and without their letter: `650W`, `650`. */
const tokensOf = (title: string): string[] =>
  normaliseTitle(title)
    .filter((token) => token !== '')
    .map((token) => token.replace(/^(\d{3,4})w$/, '$1'))

/** Of the same model in another size the role is the same. */
function sisterRole({ name }: TitleGroup, groups: readonly TitleGroup[]): Role | null {
  const model = name.replace(/ \d+ [GT]B$/, '').toLowerCase()
  return groups.find((each) => each.role !== null && each.name.toLowerCase().startsWith(model))?.role ?? null
}

/** The longest run of words with a figure that at least half as many titles share as the most shared one. */
function commonName(tokens: readonly (readonly string[])[], among: ReadonlySet<number>): string[] | null {
  return mostShared(tokens, among, namesIn) ?? mostShared(tokens, among, namesBeforeSizes)
}

/** Every run of words of a title that may be a model. */
function namesIn(list: readonly string[]): string[] {
  return list.flatMap((_, from) =>
    Array.from({ length: Math.min(longestName, list.length - from) }, (_each, more) =>
      list.slice(from, from + more + 1),
    )
      .filter(isName)
      .map((run) => run.join(' ')),
  )
}

/** `Dab 1TB`: where no model has a figure, the word before the size is its name. */
function namesBeforeSizes(list: readonly string[]): string[] {
  return list.filter(
    (token, at) => /^\p{L}{3,}$/u.test(token) && !isNoName(token) && /^\d+(gb|tb)$/.test(list[at + 1] ?? ''),
  )
}

function mostShared(
  tokens: readonly (readonly string[])[],
  among: ReadonlySet<number>,
  namesOf: (list: readonly string[]) => string[],
): string[] | null {
  const counts = new Map<string, number>()
  for (const at of among)
    for (const run of new Set(namesOf(tokens[at]!))) counts.set(run, (counts.get(run) ?? 0) + 1)
  const most = Math.max(0, ...counts.values())
  if (most < fewest) return null
  const [best] = [...counts]
    .filter(([, count]) => count >= 0.8 * most)
    .sort((a, b) => shortest(a[0]) - shortest(b[0]) || b[1] - a[1])
  return best![0].split(' ')
}

/** A run of words that may be a model: it begins with a word, has a figure that is no size, and says nothing else. */
function isName(run: readonly string[]): boolean {
  if (
    run.some(isNoName) ||
    run.some((token) => standard.test(token)) ||
    isSize(run[0]!) ||
    isSize(run.at(-1)!)
  )
    return false
  if (run.length === 1) return /^(?=.*\d)(?=.*\p{L})[\p{L}\d]{4,}$/u.test(run[0]!)
  return /^\p{L}/u.test(run[0]!) && run.some((token) => /\d/.test(token) && !isSize(token))
}

/** `gen4`, `usb3`, `cl30`: which standard or timing, no model. */
const standard = /^(?:gen|pcie|usb|sata|hdmi|dp|atx|cl|rev|ver)\d[\d.]*$/

/** A maker's name in front is split off later: the shortest run that most share is the model. */
function shortest(run: string): number {
  return run.split(' ').length
}

function startOf(list: readonly string[], name: readonly string[]): number {
  return list.findIndex((_, from) => name.every((token, offset) => list[from + offset] === token))
}

function isSize(token: string): boolean {
  return /^\d+(\.\d+)?(gb|tb|mhz|w|mm)$|^\d+x\d+(gb)?$|^ddr\d$/.test(token)
}

function sizesOf(list: readonly string[]): string[] {
  return list.filter((token) => /^\d+(gb|tb)$/.test(token))
}

function commonSize(tokens: readonly (readonly string[])[], among: readonly number[]): string | null {
  const counts = new Map<string, number>()
  for (const at of among)
    for (const size of new Set(sizesOf(tokens[at]!))) counts.set(size, (counts.get(size) ?? 0) + 1)
  const [best] = [...counts].sort((a, b) => b[1] - a[1])
  return best && best[1] >= fewest ? best[0] : null
}

const stateNames = new Set(
  languages
    .flatMap(({ state, includes, forThe }) => [...Object.values(state).flat(), ...includes, ...forThe])
    .flatMap((phrase) => wordsOf(plainText(phrase)).map(({ word }) => word)),
)
function isNoName(token: string): boolean {
  return stateNames.has(token) || classesOf(hashText(token)) !== 0
}

function groupOf(
  titles: readonly string[],
  tokens: readonly (readonly string[])[],
  at: readonly number[],
  name: readonly string[],
  size: string | null,
): TitleGroup {
  const written = mostCommon(at.map((index) => asWritten(titles[index]!, name)))
  const before = at.flatMap((index) => {
    const list = tokens[index]!
    const token = list[startOf(list, name) - 1]
    return token !== undefined && !isNoName(token) && /^\p{L}{3,}$/u.test(token) ? [token] : []
  })
  const make = mostCommon(before)
  const isMake = make !== null && before.filter((each) => each === make).length >= at.length / 2
  const label = `${written ?? name.join(' ')}${size === null ? '' : ` ${size.replace(/(gb|tb)$/, (unit) => ` ${unit.toUpperCase()}`)}`}`
  const role = roleOf(at.map((index) => titles[index]!).join('\n')) ?? roleOf(label)
  const facts =
    role === null
      ? {}
      : factsInName(
          at
            .map((index) => titles[index]!)
            .find((title) => size === null || normaliseTitle(title).includes(size)) ?? label,
          role,
        )
  return { make: isMake ? capitalised(make) : '', name: label, role, facts: facts as TitleGroup['facts'], at }
}

/** The words of a name as a title writes them. */
function asWritten(title: string, name: readonly string[]): string | null {
  const words = title.split(/\s+/)
  for (let from = 0; from < words.length; from += 1)
    for (let to = words.length; to > from; to -= 1) {
      const run = words.slice(from, to).join(' ')
      if (tokensOf(run).join(' ') === name.join(' ')) return run.replace(/[^\p{L}\p{N}]+$/u, '')
    }
  return null
}

function mostCommon(list: readonly (string | null)[]): string | null {
  const counts = new Map<string, number>()
  for (const each of list) if (each !== null) counts.set(each, (counts.get(each) ?? 0) + 1)
  const [best] = [...counts].sort((a, b) => b[1] - a[1] || score(b[0]) - score(a[0]))
  return best?.[0] ?? null
}

/** `Quill 70` before `QUILL 70` and `quill 70`. */
function score(text: string): number {
  return /^[A-Z][a-z]/.test(text) ? 1 : 0
}

function capitalised(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1)
}

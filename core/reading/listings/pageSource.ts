import { Tokenizer, TokenizerMode, type Token } from 'parse5'

/** What the source of a page holds, read in one pass. */
export interface PageSource {
  /** Contents of its JSON-LD scripts, in order. */
  readonly jsonLd: readonly string[]
  /** What a reader sees: text between tags, a line for each block; no scripts, no styles. */
  readonly text: string
}

// closed: `B<P` and `a < p` are no tags
const tags = /<(?:html|body|div|table|tr|dl|ul|script|p|h1)(?:\s[^<>]*)?>/i
/** Whether a text is the source of a page. */
export const isPage = (text: string): boolean => tags.test(text)

/** What a reader sees of a text: of the source of a page its words, of anything else all of it. */
export const seenText = (text: string): string => (isPage(text) ? readPage(text).text : text)

const silent = new Set(['script', 'style', 'template', 'noscript'])
const inline = new Set([
  'a',
  'abbr',
  'b',
  'bdi',
  'em',
  'i',
  'mark',
  'small',
  'span',
  'strong',
  'sub',
  'sup',
  'u',
])

/**
 * Reads the source of a page by the tokenizer of a real HTML parser: linear in its length, whatever is unclosed or nested in it.
 *
 * @example readPage('<p>Tarn <b>640</b></p><p>100</p>').text // 'Tarn 640\n100'
 */
export function readPage(source: string): PageSource {
  const jsonLd: string[] = []
  const text: string[] = []
  const row = rowOf(text)
  let script: string[] | null = null
  let silentDepth = 0
  let endOfInline = -1
  const take = ({ chars }: Token.CharacterToken) => {
    if (script) script.push(chars)
    else if (silentDepth === 0) text.push(chars)
  }
  const tokenizer = new Tokenizer(
    { sourceCodeLocationInfo: false },
    {
      onStartTag({ tagName, attrs, selfClosing }) {
        const state = textStates[tagName]
        if (state !== undefined) tokenizer.state = state
        if (tagName === 'script' && attrs.some(isJsonLd)) script = []
        if (tagName === 'sup') text.push(raised)
        if (silent.has(tagName) && !selfClosing) silentDepth += 1
        else if (!inline.has(tagName)) row.begin(tagName)
        else if (text.length === endOfInline) text.push(seam)
      },
      onEndTag({ tagName }) {
        if (tagName === 'script' && script) {
          jsonLd.push(script.join(''))
          script = null
        }
        if (silent.has(tagName)) silentDepth = Math.max(0, silentDepth - 1)
        else if (!inline.has(tagName)) row.end(tagName)
        else endOfInline = text.length
      },
      onCharacter: take,
      onWhitespaceCharacter: take,
      onNullCharacter: () => undefined,
      onComment: () => undefined,
      onDoctype: () => undefined,
      onEof: () => undefined,
    },
  )
  tokenizer.write(source, true)
  return { jsonLd, text: inLines(withoutSeams(text.join(''))) }
}

/** Where one stretch of words ends and the next begins with nothing between them. */
const seam = '\ufdd0'
/** Where what stands higher begins. */
const raised = '\ufdd1'

/** `<span>Tarn 640</span><span>$61.00</span>`: two things to the eye, which a style sets apart; `$61` and `.00` are one. */
const withoutSeams = (text: string) =>
  text
    .replace(/(?<=[\p{L}\d)])\ufdd0(?=[\p{Sc}+])/gu, '\n')
    // on one line: `<span>Tarn 640</span><span>XT</span>` is one name
    .replace(/(?<=[\p{Ll}\d)])\ufdd0(?=\p{Lu})/gu, '\t')
    // `$48<sup>00</sup>`: cents, written small
    .replace(/(?<=\p{Sc}\s?\d+)\ufdd1(?=\d\d(?!\d))/gu, '.')
    .replace(/[\ufdd0\ufdd1]/g, '')

/** Inside these a `<` opens no tag; the tree of a page, which we do not need, would tell the tokenizer so. */
const textStates: Readonly<Record<string, Tokenizer['state']>> = {
  script: TokenizerMode.SCRIPT_DATA,
  style: TokenizerMode.RAWTEXT,
  textarea: TokenizerMode.RCDATA,
  title: TokenizerMode.RCDATA,
}

function isJsonLd({ name, value }: Token.Attribute): boolean {
  return name === 'type' && /^\s*application\/ld\+json\b/i.test(value)
}

/**
 * Cells that hold only words stand side by side on one line, with tabs between them; where a cell holds blocks of its own
 * (a layout, not a table) each stands on a line. The separators of a row are settled when it ends.
 */
function rowOf(text: string[]) {
  /** Where the cells of the open row are parted; null outside one. */
  let tabs: number[] | null = null
  let isFirst = true
  let isLayout = false
  return {
    begin(tagName: string) {
      if (tagName === 'tr') {
        text.push('\n')
        ;[tabs, isFirst, isLayout] = [[], true, false]
      } else if (tagName === 'td' || tagName === 'th') {
        if (!isFirst) tabs?.push(text.push('\t') - 1)
        isFirst = false
      } else if (tagName === 'br' && tabs !== null) text.push(' ')
      else {
        isLayout = true
        text.push('\n')
      }
    },
    end(tagName: string) {
      if (tagName === 'td' || tagName === 'th') return
      if (tagName === 'tr') {
        if (isLayout) for (const at of tabs ?? []) text[at] = '\n'
        tabs = null
      }
      text.push('\n')
    },
  }
}

function inLines(text: string): string {
  return text
    .split('\n')
    .map((line) =>
      line
        .replace(/[ \u00a0]+/g, ' ')
        .replace(/ ?\t ?/g, '\t')
        .trim(),
    )
    .filter((line) => line !== '')
    .join('\n')
}

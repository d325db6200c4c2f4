import { CoreError } from '#core/errors/coreError'

/** Deeper than any body of ours; a schema walks what it is given by recursion. */
const deepest = 64

/** Keys that every object of the language has by itself (`__proto__`, `constructor`, `toString` …). */
const forbidden = new Set([...Object.getOwnPropertyNames(Object.prototype), 'prototype'])

/**
 * Parses JSON from outside: `not-json` where it is none, `too-deep` below 64 levels, `forbidden-key` for a key such as
 * `__proto__`. The depth is counted in the text, since the parser itself would recurse.
 */
export function plainJson(text: string): unknown {
  if (depthOf(text) > deepest) throw new CoreError('too-deep', { deepest })
  try {
    return JSON.parse(text, (key, value: unknown) => {
      if (forbidden.has(key)) throw new CoreError('forbidden-key', { key }, key)
      return value
    })
  } catch (cause) {
    if (cause instanceof CoreError) throw cause
    throw new CoreError('not-json', {}, '', { cause })
  }
}

/** How deep brackets and braces nest, texts left out. */
function depthOf(text: string): number {
  let depth = 0
  let most = 0
  let isText = false
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i)
    if (isText) {
      if (code === 0x5c) i += 1
      else if (code === 0x22) isText = false
    } else if (code === 0x22) isText = true
    else if (code === 0x7b || code === 0x5b) most = Math.max(most, (depth += 1))
    else if (code === 0x7d || code === 0x5d) depth -= 1
  }
  return most
}

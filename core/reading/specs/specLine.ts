import { plainText } from '../../text/plainText'

/** A line of a specification: what it is about, and what it says of it. */
export interface SpecLine {
  /** From 1. */
  readonly line: number
  readonly raw: string
  /** Plain; empty for a line that is only a value. */
  readonly key: string
  readonly value: string
  /** The value, plain. */
  readonly plain: string
}

/**
 * The lines of a specification. A key stands before a colon, a tab, a bar or a wide gap; a table of one key a line and
 * one value on the next is not taken apart: each is read as it stands.
 */
export function specLines(text: string): SpecLine[] {
  return text.split(/\r\n|\r|\n/).flatMap((whole, index): SpecLine[] =>
    // `TDP: 65 W, PPT 88 W`: another key on the same line
    whole.split(/,\s+(?=(?:ppt|pl1|pl2|tdp|tgp|boost|base)\b)/i).flatMap((raw): SpecLine[] => {
      const trimmed = raw.replace(/^[\s•·*–-]+/, '').trim()
      if (trimmed === '') return []
      const cut =
        /^(.{2,60}?)\s*(?:\t+|:\s+|:\t|\s[|]\s|\s{3,}|\s=\s|:(?=\S)(?!\d\d))\s*(.+)$/.exec(trimmed) ??
        // `Height 34 mm`: a word and its figure, below the name
        (index > 0
          ? /^(\p{L}[\p{L} ]{2,30}?)(?<!\b(?:pcie?|gen|express|ddr|hdmi|displayport|usb|nvme|rev|cl))\s+(\d.*)$/iu.exec(
              trimmed,
            )
          : null)
      const [key, value] = cut ? [cut[1]!, cut[2]!] : ['', trimmed]
      return [
        {
          line: index + 1,
          raw: trimmed,
          key: plainText(key).trim(),
          value: value.trim(),
          plain: plainText(value).trim(),
        },
      ]
    }),
  )
}

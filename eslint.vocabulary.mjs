import debts from './eslint.vocabulary.json' with { type: 'json' }

/**
 * Words of natural languages stand in `core/reading/words/`, one file a language. A word inside a regular expression
 * anywhere else in `core/` is refused, but for figures, units and standards, which are the same in every language.
 *
 * `eslint.vocabulary.json` lists the files that still hold such words, with how many. It only gets shorter: a file that
 * has more is refused, and so is one that has fewer, until the list says so.
 */
const sameEverywhere = new Set(
  `
  ata atx bios body bom boost bytes code cpu ddr dimm div dram doctype ecc edo eps entity entry feff fps
  gddr gen ghz gpu hbm hdd hdmi hdr html https http inf infinity item itx jsonfeed ldjson lga max mhz micro mini mlc mib
  min molex msec nan nvme null org pci pcie pga ppt psu qlc ram ray rgb rpm rev sas sata script sfx slc so sodimm ssd
  tab table tbody tdp tfx tgp tlc tmp type udimm undefined usb vrm vram xlsx xml expo json application csv ini
  frame frames eur usd cad gbp sek
  `.split(/\s+/),
)

/** The words of a pattern of three letters or more: without classes, escapes and names of groups. */
export function wordsOfPattern(pattern) {
  const plain = pattern
    .replace(/\\[pP]\{[^}]*\}|\\u[\da-fA-F]{4}|\\[a-zA-Z]/g, ' ')
    .replace(/\[(?:[^\]\\]|\\.)*\]/g, ' ')
    .replace(/\(\?<[a-zA-Z]+>/g, ' ')
  return (plain.match(/\p{L}{3,}/gu) ?? []).filter((word) => !sameEverywhere.has(word.toLowerCase()))
}

const wordsInPatterns = {
  meta: { type: 'problem', schema: [{ type: 'integer' }] },
  create(context) {
    const allowed = context.options[0] ?? 0
    const found = []
    return {
      'Literal[regex]'(node) {
        for (const word of wordsOfPattern(node.regex.pattern)) found.push({ node, word })
      },
      'Program:exit'(program) {
        if (found.length > allowed)
          for (const { node, word } of found.slice(allowed))
            context.report({
              node,
              message:
                `"${word}" is a word of a language: it belongs into core/reading/words/ ` +
                `(${found.length} here, ${allowed} allowed)`,
            })
        if (found.length < allowed)
          context.report({
            node: program,
            message: `only ${found.length} words in patterns are left here: say so in eslint.vocabulary.json`,
          })
      },
    }
  },
}

export const vocabularyInItsPlace = [
  {
    files: ['core/**/*.ts'],
    // what reads the program's own files and answers knows no language
    ignores: ['core/reading/words/**', 'core/files/**', 'core/planning/**'],
    plugins: { vocabulary: { rules: { 'words-in-patterns': wordsInPatterns } } },
    rules: { 'vocabulary/words-in-patterns': 'error' },
  },
  ...Object.entries(debts).map(([file, count]) => ({
    files: [file],
    rules: { 'vocabulary/words-in-patterns': ['error', count] },
  })),
]

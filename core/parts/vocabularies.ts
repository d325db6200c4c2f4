import { plainText } from '../text/plainText'

/** A fact with a known set of answers: each answer as Tarvin writes it, and every usual spelling of it. */
type Vocabulary = Readonly<Record<string, readonly string[]>>

/**
 * The facts that are compared as answers and never as text. Spellings are plain: lower case, signs and spaces left out.
 * An answer that is none of these (a maker's own plug, a board of own size) stands as it was written.
 */
export const vocabularies = {
  memoryGeneration: {
    DDR2: ['ddr2', 'pc2', 'pc26400'],
    DDR3: ['ddr3', 'ddr3l', 'pc3', 'pc3l', 'ddriii'],
    DDR4: ['ddr4', 'pc4', 'ddriv'],
    DDR5: ['ddr5', 'pc5', 'ddrv'],
  },
  formFactor: {
    'mini-ITX': ['miniitx', 'mitx', 'itx', 'minitx'],
    'micro-ATX': ['microatx', 'matx', 'uatx', 'µatx', 'micro', 'maxt'],
    ATX: ['atx', 'fullatx', 'standardatx', 'fullsize'],
    'E-ATX': ['eatx', 'extendedatx', 'ssieeb', 'eeb', 'ceb'],
  },
  supplyShape: {
    ATX: ['atx', 'standard', 'standardatx', 'atx12v', 'fullatx', 'fullsize'],
    SFX: ['sfx', 'sfx12v'],
    'SFX-L': ['sfxl'],
    TFX: ['tfx', 'tfx12v', 'slim'],
    'Flex-ATX': ['flexatx', 'flex', '1u', 'flex1u'],
  },
  mainPlug: {
    ATX24: [
      'atx24',
      '24pin',
      '24',
      '24pinatx',
      'atx24pin',
      '20+4',
      '20+4pin',
      '204pin',
      '204',
      '24pol',
      'atx204pin',
      '24pinmain',
      '20plus4',
    ],
    ATX20: ['atx20', '20pin', '20pinatx'],
    ATX12VO: ['atx12vo', '12vo', '10pinatx12vo', '10pin12vo'],
  },
  interface: {
    nvme: ['nvme', 'pcie', 'pcienvme', 'm2nvme', 'm2pcie', 'pciexpress', 'u2'],
    sata: [
      'sata',
      'sataiii',
      'sata3',
      'sata6gbs',
      'sata6gbits',
      'm2sata',
      'serialata',
      'sata600',
      'sataii',
      'sata6g',
    ],
  },
  efficiency: {
    none: ['none', 'no', 'without', 'nolabel'],
    white: ['white', '80plus', '80+', '80pluswhite', '80+white', 'standard', '80plusstandard'],
    bronze: ['bronze', '80plusbronze', '80+bronze'],
    silver: ['silver', '80plussilver', '80+silver', 'silber', 'argent'],
    gold: ['gold', '80plusgold', '80+gold', 'guld', 'oro', 'or'],
    platinum: ['platinum', '80plusplatinum', '80+platinum', 'platin'],
    titanium: ['titanium', '80plustitanium', '80+titanium', 'titan'],
  },
  outputs: {
    HDMI: ['hdmi', 'hdmi14', 'hdmi20', 'hdmi20b', 'hdmi21', 'hdmi21a', 'fullsizehdmi'],
    DisplayPort: [
      'displayport',
      'dp',
      'displayport12',
      'displayport14',
      'displayport14a',
      'displayport20',
      'displayport21',
      'dp12',
      'dp14',
      'dp14a',
      'dp20',
      'dp21',
      'fullsizedisplayport',
    ],
    'mini DisplayPort': ['minidisplayport', 'minidp', 'mdp'],
    'mini HDMI': ['minihdmi'],
    DVI: ['dvi', 'dvid', 'dvii', 'duallinkdvi', 'dviddl'],
    VGA: ['vga', 'dsub', 'hd15', '15pin'],
    'USB-C': ['usbc', 'usbtypec', 'typec'],
  },
  module: {
    desktop: ['desktop', 'dimm', 'udimm', 'longdimm', '288pin', '240pin'],
    laptop: ['laptop', 'sodimm', 'notebook', '260pin', '262pin', '204pin'],
    registered: ['registered', 'rdimm', 'lrdimm', 'server', 'registeredecc', 'eccregistered', 'buffered'],
  },
  driveShape: {
    '2.5': ['25', '25inch', '25in', '25zoll', 'sff'],
    '3.5': ['35', '35inch', '35in', '35zoll', 'lff'],
    'M.2': ['m2', 'm22280', 'm22242', 'm22230', '2280', '2242', '2230', '2260', '22110'],
    card: ['card', 'aic', 'pciecard', 'addincard', 'expansioncard'],
  },
  drive: {
    ssd: ['ssd', 'solidstate', 'solidstatedrive', 'flash'],
    hdd: ['hdd', 'harddisk', 'harddrive', 'harddiskdrive', 'festplatte', 'mechanical', '7200rpm', '5400rpm'],
  },
} as const satisfies Readonly<Record<string, Vocabulary>>
export type VocabularyFact = keyof typeof vocabularies

/** Lengths of M.2 cards in mm, and the widths of a slot in lanes. */
export const m2Lengths = [30, 42, 60, 80, 110] as const
export const laneCounts = [1, 2, 4, 8, 16] as const

/** A text without case, accents, spaces and signs, as sockets and model names are compared. */
export function compared(text: string): string {
  return plainText(text).replace(/[^\p{L}\p{N}+µ]/gu, '')
}

const bySpelling = new Map(
  Object.entries(vocabularies).map(([fact, vocabulary]) => [
    fact,
    new Map(
      Object.entries(vocabulary).flatMap(([answer, spellings]) =>
        [answer, ...spellings].map((spelling) => [compared(spelling), answer] as const),
      ),
    ),
  ]),
)

/**
 * The answer that a spelling stands for; null where it is none of the set.
 *
 * @example answerOf('formFactor', 'mATX') // 'micro-ATX'
 * @example answerOf('mainPlug', '24-pin') // 'ATX24'
 */
export function answerOf(fact: VocabularyFact, spelling: string): string | null {
  return bySpelling.get(fact)!.get(compared(spelling)) ?? null
}

/** Every answer that stands in a text, in the order of the set; longest spellings first, each piece counted once. */
export function answersIn(fact: VocabularyFact, text: string): string[] {
  const pieces = text
    .split(/[,;/|+&]|\band\b|\bund\b|\bet\b|\boch\b|\s{2,}/i)
    .map((piece) => piece.replace(/^\s*\d+\s*(?:x|×)\s*/i, '').trim())
  const found = new Set<string>()
  for (const piece of pieces) {
    const words = piece
      .replace(/\(.*?\)/g, '')
      .split(/\s+/)
      .filter((word) => word !== '')
    for (let from = 0; from < words.length; from += 1)
      for (let to = words.length; to > from; to -= 1) {
        const answer = answerOf(fact, words.slice(from, to).join(''))
        if (answer === null) continue
        found.add(answer)
        from = to - 1
        break
      }
  }
  return Object.keys(vocabularies[fact]).filter((answer) => found.has(answer))
}

/** Whether a fact has a known set of answers. */
export function hasVocabulary(fact: string): fact is VocabularyFact {
  return fact in vocabularies
}

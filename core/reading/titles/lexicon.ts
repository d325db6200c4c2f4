import { hashText } from './titleScanner'

/**
 * What words in a title say about the thing sold, whatever the query: trade words only, no names.
 * A word may belong to several classes (bit mask). To teach the sieve a word, add it here.
 */
export const WordClass = {
  negation: 1 << 0,
  /** Said of a thing that is not working, or not known to. */
  damage: 1 << 1,
  laptop: 1 << 2,
  server: 1 << 3,
  /** A collection by its own word. */
  lot: 1 << 4,
  /** Joins a second thing to the first. */
  connector: 1 << 5,
  /** A piece that belongs to a part and is not one. */
  accessory: 1 << 6,
  only: 1 << 7,
  forWord: 1 << 8,
  /** Said with a count of things. */
  countNoun: 1 << 9,
  pair: 1 << 10,
  quantityVague: 1 << 11,
  single: 1 << 12,
  desktopModule: 1 << 13,
  machine: 1 << 14,
  machineAdjective: 1 << 15,
  /** After a connector: comes with the part and does not make a lot of it. */
  harmlessExtra: 1 << 16,
  ofWord: 1 << 17,
  kindCpu: 1 << 20,
  kindBoard: 1 << 21,
  kindMemory: 1 << 22,
  kindGraphics: 1 << 23,
  kindSupply: 1 << 24,
  kindCase: 1 << 25,
  kindStorage: 1 << 26,
  kindPeripheral: 1 << 27,
  /** A cooler is an extra or a piece unless it is what is sold; it never makes a lot. */
  kindCooler: 1 << 28,
} as const

export const anyKind =
  WordClass.kindCpu |
  WordClass.kindBoard |
  WordClass.kindMemory |
  WordClass.kindGraphics |
  WordClass.kindSupply |
  WordClass.kindCase |
  WordClass.kindStorage |
  WordClass.kindPeripheral

const words: Readonly<Record<keyof typeof WordClass, string>> = {
  negation: 'no not non without never nothing isnt zero less missing',
  damage:
    'broken faulty fault defective defect damaged damage dead untested unchecked spares ' +
    'artifacts artefacts cracked bent fried shorted burnt kaputt nonworking repair ' +
    'repairs doa crashes crashing crash leaking leaks rusted corroded corrosion snapped overheats',
  laptop: 'laptop sodimm notebook',
  server: 'rdimm lrdimm registered server ecc',
  lot: 'lot konvolut lote lots posten parti joblot bundle combo collection assorted mixed bundled joblots clearout',
  connector: 'with and incl including includes plus w und et och samt mit avec con med',
  accessory:
    'box bracket brackets backplate shroud fan fans heatsink cooler waterblock manual ' +
    'sticker shield riser cable cables block packaging carton sleeve screws adapter tray lid',
  only: 'only empty just spare replacement',
  forWord: 'for fits from suits compatible',
  countNoun:
    'pcs pieces piece units unit sticks stick modules cards cpus processors drives boards fans available sets pack off',
  pair: 'pair pairs twin-pack duo',
  quantityVague: 'each several multiple various choose choice quantity qty ea selection per',
  single: 'single einzeln einzelner einzelne unique styck unidad enda',
  desktopModule: 'udimm desktop',
  machine: 'computer workstation rig pc system',
  machineAdjective: 'gaming full complete whole office home family custom built budget',
  harmlessExtra:
    'cooler fan fans box boxed cable cables screws bracket brackets shipping delivery ' +
    'postage manual warranty invoice receipt thermal paste pads backplate adapter ' +
    'original packaging heatsink tested cleaned working shield software driver tracking ' +
    'guarantee accessories papers bill proof',
  ofWord: 'of',
  kindCpu: 'cpu processor cpus',
  kindBoard: 'motherboard mobo mainboard board motherboards',
  kindMemory: 'ram memory',
  kindGraphics: 'gpu graphics videocard graphicscard',
  kindSupply: 'psu powersupply',
  kindCase: 'case chassis',
  kindStorage: 'ssd hdd nvme harddrive harddisk',
  kindCooler: 'cooler heatsink',
  kindPeripheral: 'monitor keyboard mouse screen headset',
}

const classByHash = new Map<number, number>()
for (const [name, list] of Object.entries(words) as [keyof typeof WordClass, string][]) {
  for (const word of list.split(' ')) {
    const hash = hashText(word)
    classByHash.set(hash, (classByHash.get(hash) ?? 0) | WordClass[name])
  }
}

// Most words of a title are in no class: a small bitmap answers that without a map look-up.
const bloom = new Uint8Array(1 << 16)
for (const hash of classByHash.keys()) bloom[hash % 65521] = 1

/** The classes of a token by its hash; 0 for a word the lexicon does not know. */
export function classesOf(hash: number): number {
  return bloom[hash % 65521] === 0 ? 0 : (classByHash.get(hash) ?? 0)
}

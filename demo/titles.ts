import { phrases } from '../core/text/phrases'
import type { CataloguePart } from './catalogue'
import type { Chance } from './random'

/** What a title says besides the truth; the dirt of real lists. */
export type Dirt = 'clean' | 'lot' | 'broken' | 'accessory' | 'pair' | 'laptop' | 'wrong-size'

/** A drive that spins is called, and praised, otherwise than one that does not. */
const spinning = {
  kinds: ['HDD', 'drive', 'hard drive', ''],
  praise: ['3.5 inch', 'SMART ok', 'with screws', 'wiped', 'low hours', '7200 rpm'],
}
const kindWords: Readonly<Record<string, readonly string[]>> = {
  cpu: ['CPU', 'processor', 'cpu', 'proc', 'chip', '', ''],
  motherboard: ['motherboard', 'mainboard', 'board', 'mobo', 'Mobo', ''],
  memory: ['RAM', 'memory', 'ram', 'mem', 'desktop memory', ''],
  graphics: ['graphics card', 'GPU', 'gpu', 'gfx card', 'video card', 'graphic card', 'card', ''],
  storage: ['SSD', 'drive', 'ssd', ''],
  supply: ['power supply', 'PSU', 'psu', 'power supply unit', 'power unit'],
  case: ['case', 'PC case', 'tower case', 'computer case', 'chassis'],
  cooler: ['CPU cooler', 'cooler', 'heatsink', 'cpu heatsink + fan'],
  donor: ['PC', 'office PC', 'computer', 'desktop'],
  extra: [''],
}
const praise = phrases(`
  tested, works great, good condition, fully working, like new, clean, fast shipping, no box, with box,
  boxed, w/ box, from smoke free home, low hours, barely used, pulled from working pc, excellent cond.,
  exc cond, mint, 100% working, working pull, upgrade forces sale, free postage, never overclocked,
  not used for mining, no issues, no returns, one owner, from a gaming rig, runs cool & quiet, with receipt,
  incl. shipping, thermal paste renewed, VGC, used, priced to go, must go, read description, missing box,
  cheap
`)
const fitsPraise: Readonly<Record<string, readonly string[]>> = {
  graphics: phrases(`
    dual fan, 2 fans, triple fan, DP HDMI, for gaming PC, PCIe, 3x DP, new thermal pads,
    with anti-sag bracket, no backplate
  `),
  cpu: phrases(`
    N core, no cooler, with cooler, incl. stock fan, tray, bent-free pins, chip only no fan
  `),
  motherboard: phrases(`
    with I/O shield, no shield, incl shield and screws, latest bios, no cpu no ram, with box and manual,
    wifi
  `),
  memory: ['kit', 'CL16', '3200MHz', 'with heat spreader', 'dual channel kit', 'no heat spreader'],
  storage: ['2280', '98% health', 'with screw', 'wiped', 'heatsink incl.', 'fast'],
  supply: ['80+ bronze', 'semi modular', 'with all cables', 'incl cables', '80 plus gold', 'quiet'],
  case: ['with 2 fans', 'no PSU', 'side glass', 'dust filters', 'black'],
  cooler: ['with mounting kit', 'incl. paste', 'all brackets', 'quiet fan'],
  donor: ['no HDD', 'with keyboard', 'ex office', '8GB RAM', 'wiped'],
  extra: [],
}
const brokenWords = phrases(`
  for parts, faulty, broken, not working, untested, no display, spares or repair, defective, artifacts,
  as is for parts, parts only, dead, no post, does not boot, doesn't work, bent pins, won't turn on,
  repair needed, cracked, no signal, FOR PARTS NOT WORKING, needs repair, sold as faulty, damaged,
  not tested, doa, crashes under load, fan dead, burnt connector, spares/repairs, water damage, for spares,
  stopped working
`)
const others = phrases(`
  Northpine N4 board, Sallowfen 5400, motherboard, 16gb ram, case, 550w psu, 500gb ssd, gaming monitor,
  mobo, Wainscot Corbel board, keyboard, 1TB HDD, 32GB DDR4, cooler and fans, Threddle 53 cpu, Tarn 560
`)

/** The name as somebody would type it: the maker's name often, the model always, the size somewhere. */
function typedName(part: CataloguePart, chance: Chance, sizeText: string): string {
  const make = part.name.startsWith(part.make) ? '' : part.make
  let name = part.name.replace(/ (\d+) (GB|TB)\b.*$/, '').replace(/ (DDR\d).*$/, '')
  if (part.role === 'supply')
    name = part.name.replace(/ (\d+) W$/, (_, watts: string) =>
      chance.pick([` ${watts}W`, ` ${watts} W`, ` ${watts} watt`, ` ${watts}w`, ` ${watts} Watts`]),
    )
  if (chance.happens(0.1)) name = name.replace(/([A-Za-z]{4,}) (\d{2,})/, '$1$2')
  else if (chance.happens(0.05)) name = name.replace(/([A-Za-z]{4,}) (\d{2,})/, '$1-$2')
  if (chance.happens(0.15)) name = name.replace(/(\d{2,}) ([A-Z])\b/, '$1$2')
  const size = sizeText !== '' && chance.happens(0.14) ? `(${sizeText})` : sizeText
  const words = [make !== '' && chance.happens(0.72) ? make : '', name, size].filter((word) => word !== '')
  if (chance.happens(0.12)) words.reverse()
  return words.join(' ')
}

function sizeWords(part: CataloguePart, chance: Chance, wrongSize: boolean): string {
  const { capacityGb, kitCount = 1, memoryGeneration, vramGb } = part.facts
  const glue = chance.pick(['', ' '])
  if (part.role === 'graphics' && vramGb !== undefined) {
    const size = wrongSize ? (vramGb === 4 ? 2 : vramGb / 2) : vramGb
    return !wrongSize && chance.happens(0.25)
      ? ''
      : `${size}${glue}${chance.pick(['GB', 'gb', 'GB', 'G', 'gig', 'Gb'])}`
  }
  if (part.role === 'storage' && capacityGb !== undefined) {
    const size = wrongSize ? capacityGb * 2 : capacityGb
    return size >= 1000
      ? chance.pick([`${size / 1000}${glue}TB`, `${size / 1000}${glue}tb`, `${size}${glue}GB`])
      : `${size}${glue}${chance.pick(['GB', 'gb', 'G'])}`
  }
  if (part.role === 'memory' && capacityGb !== undefined) {
    const total = wrongSize ? capacityGb * 2 : capacityGb
    const each = total / kitCount
    const generation = chance.pick([
      memoryGeneration!,
      memoryGeneration!,
      memoryGeneration!.toLowerCase(),
      memoryGeneration!.replace('DDR', 'DDR '),
      memoryGeneration!.replace('DDR', 'DDR-'),
    ])
    const whole = `${total}${glue}${chance.pick(['GB', 'GB', 'gb', 'G', 'gig'])}`
    const kit = chance.pick([
      `${kitCount}x${each}GB`,
      `${kitCount} x ${each} GB`,
      `(${kitCount}x${each})`,
      `${kitCount}x${each}gb`,
      `${kitCount}*${each}GB`,
      `[${kitCount} x ${each}gb]`,
      `${each}GB x${kitCount}`,
    ])
    return kitCount === 1
      ? `${whole} ${generation} ${chance.pick(['single stick', '1 stick', `1x${total}GB`, 'single', 'one stick'])}`
      : chance.pick([
          `${whole} ${kit} ${generation}`,
          `${kit} ${generation}`,
          `${generation} ${whole} ${kit}`,
          `${generation} ${kit} = ${whole}`,
          `${kitCount} sticks of ${each}GB ${generation}`,
        ])
  }
  return ''
}

const neighbours: Readonly<Record<string, string>> = {
  a: 's',
  s: 'a',
  e: 'r',
  r: 'e',
  i: 'o',
  o: 'i',
  n: 'm',
  m: 'n',
  t: 'y',
  d: 'f',
  l: 'k',
  k: 'l',
  p: 'o',
  u: 'i',
  w: 'e',
  c: 'v',
}

/** A slip of the fingers in a longer word: two letters swapped, one left out, one doubled, one from the next key. */
function slip(word: string, chance: Chance): string {
  if (word.length < 5 || /[\d/&().+-]/.test(word)) return word
  const at = chance.whole(1, word.length - 2)
  const kind = chance.whole(0, 3)
  if (kind === 0) return word.slice(0, at) + word[at + 1] + word[at] + word.slice(at + 2)
  if (kind === 1) return word.slice(0, at) + word.slice(at + 1)
  if (kind === 2) return word.slice(0, at) + word[at] + word.slice(at)
  return word.slice(0, at) + (neighbours[word[at]!] ?? word[at]!) + word.slice(at + 1)
}

function lotTitle(name: string, chance: Chance): string {
  const [a, b] = [chance.pick(others), chance.pick(others)]
  return chance.pick([
    `${name} + ${a} + ${b}`,
    `bundle: ${name}, ${a}, ${b}`,
    `Gaming PC ${name} ${a}`,
    `job lot ${name} and more`,
    `${name} with ${a} combo`,
    `${name} and ${a} and ${b}`,
    `PC parts lot ${name} ${a}`,
    `${name} / ${a} / ${b}`,
    `upgrade bundle ${name} & ${a}`,
    `full PC: ${name}, ${a}, ${b}, ready to go`,
    `gaming computer ${a} ${name}`,
    `${name}, ${a} & ${b} - all together`,
    `clearout: ${name} + ${a}`,
    `custom rig ${name} ${a} ${b}`,
  ])
}

const pieces: Readonly<Record<string, readonly ((name: string) => string)[]>> = {
  graphics: [
    (name) => `fan for ${name}`,
    (name) => `cooler for ${name} no card`,
    (name) => `${name} backplate`,
    (name) => `${name} heatsink and fans only`,
    (name) => `replacement fans ${name}`,
    (name) => `${name} cooler only, no pcb`,
    (name) => `bracket for ${name}`,
    (name) => `water block for ${name}`,
    (name) => `support bracket for ${name} graphics cards`,
  ],
  cpu: [
    (name) => `fan for ${name}`,
    (name) => `${name} cooler only no cpu`,
    (name) => `stock cooler from ${name}`,
    (name) => `${name} tray and sticker, no chip`,
    (name) => `heatsink for ${name}`,
  ],
}

/** A title in one of many human styles. */
export function title(part: CataloguePart, dirt: Dirt, chance: Chance): string {
  const name = typedName(part, chance, sizeWords(part, chance, dirt === 'wrong-size'))
  const isSpinning = part.facts.drive === 'hdd'
  const kind = chance.pick(isSpinning ? spinning.kinds : kindWords[part.role]!)
  const praises = (isSpinning ? spinning.praise : fitsPraise[part.role]!).map((word) =>
    word === 'N core' ? `${part.facts.cores} core` : word,
  )
  const said = (list: readonly string[]) =>
    chance.happens(0.5) || list.length === 0 ? '' : chance.pick(list)
  const extras =
    dirt === 'broken'
      ? [chance.pick(brokenWords)]
      : [said(praises), said(praise), chance.happens(0.3) ? said(praise) : '']
  if (dirt === 'broken' && chance.happens(0.25)) extras.unshift(said(praises))
  const laptop =
    dirt === 'laptop' || part.facts.module === 'laptop'
      ? chance.pick(['SO-DIMM', 'laptop memory', 'sodimm', 'SODIMM', 'for laptop', 'notebook RAM', 'so dimm'])
      : ''
  const separator = chance.weighted([
    [' ', 6],
    [' - ', 2],
    [', ', 2],
    [' | ', 0.5],
    ['. ', 0.5],
    [' * ', 0.4],
  ] as const)
  const subject = [name, laptop !== '' && kind.startsWith('desktop') ? '' : kind, laptop].filter(
    (word) => word !== '',
  )
  if (chance.happens(0.15)) subject.reverse()
  const parts = [subject.join(' '), ...extras.filter((word) => word !== '')]
  if (chance.happens(0.08)) parts.reverse()
  let text = parts
    .map((each, index) => (index > 0 && chance.happens(0.1) ? `(${each})` : each))
    .join(separator)
  if (dirt === 'lot') text = lotTitle(name, chance)
  if (dirt === 'accessory')
    text = chance.pick([
      () => `${name} box only`,
      () => `empty box ${name}`,
      () => `${name} EMPTY BOX`,
      () => `${name} original packaging only`,
      () => `box for ${name} (no ${part.role === 'cpu' ? 'cpu' : 'card'})`,
      ...(pieces[part.role] ?? []).map((make) => () => make(name)),
    ])()
  if (dirt === 'pair')
    text = chance.pick([
      `2x ${name}`,
      `${name} x2`,
      `pair of ${name}`,
      `two ${name}`,
      `${name} (2 available, price each)`,
      `(2) ${name}`,
      `${name} x 2 pcs`,
      `3 x ${name}`,
      `${name} - set of 2`,
    ])
  if (chance.happens(0.06))
    text = text
      .split(' ')
      .map((word) => (chance.happens(0.25) ? slip(word, chance) : word))
      .join(' ')
  if (chance.happens(0.08)) text = text.toUpperCase()
  else if (chance.happens(0.12)) text = text.toLowerCase()
  if (chance.happens(0.05))
    text = chance.pick([`!! ${text} !!`, `*** ${text} ***`, `${text}!!!`, `>> ${text} <<`, `${text} LOOK`])
  return text.trim()
}

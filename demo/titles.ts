import type { CataloguePart } from './catalogue'
import type { Chance } from './random'

/** What a title says besides the truth; the dirt of real lists. */
export type Dirt = 'clean' | 'lot' | 'broken' | 'accessory' | 'pair' | 'laptop' | 'wrong-size'

const kindWords: Readonly<Record<string, readonly string[]>> = {
  cpu: ['CPU', 'processor', 'cpu', ''], motherboard: ['motherboard', 'mainboard', 'board', 'mobo'], memory: ['RAM', 'memory', 'ram', ''], graphics: ['graphics card', 'GPU', 'gpu', ''], storage: ['SSD', 'drive', ''],
  supply: ['power supply', 'PSU', 'psu'], case: ['case', 'PC case', 'tower case'], cooler: ['CPU cooler', 'cooler', 'heatsink'], donor: ['PC', 'office PC', 'computer'], extra: [''],
}
const praise = ['', '', '', 'tested', 'works great', 'good condition', 'fully working', 'like new', 'clean', 'fast shipping', 'no box', 'with box', 'boxed', 'from smoke free home', 'low hours', 'barely used', 'pulled from working pc']
const brokenWords = ['for parts', 'faulty', 'broken', 'not working', 'untested', 'no display', 'spares or repair', 'defective', 'artifacts']
const others = ['Northpine N4 board', 'Sallowfen 5400', 'motherboard', '16gb ram', 'case', '550w psu', '500gb ssd', 'gaming monitor']

/** The name as somebody would type it. */
function typedName(part: CataloguePart, chance: Chance, sizeText: string): string {
  const make = part.name.startsWith(part.make) ? '' : part.make
  let name = part.name.replace(/ (\d+) (GB|TB)\b.*$/, '').replace(/ (DDR\d).*$/, '')
  if (part.role === 'supply') name = part.name.replace(/ (\d+) W$/, (_, watts: string) => chance.pick([` ${watts}W`, ` ${watts} W`, ` ${watts} watt`, ` ${watts}w`]))
  const words = [make !== '' && chance.happens(0.72) ? make : '', name, sizeText].filter((word) => word !== '')
  if (chance.happens(0.12)) words.reverse()
  return words.join(' ')
}

function sizeWords(part: CataloguePart, chance: Chance, wrongSize: boolean): string {
  const { capacityGb, kitCount = 1, memoryGeneration, vramGb } = part.facts
  const glue = chance.pick(['', ' '])
  if (part.role === 'graphics' && vramGb !== undefined) {
    const size = wrongSize ? (vramGb === 4 ? 2 : vramGb / 2) : vramGb
    return !wrongSize && chance.happens(0.25) ? '' : `${size}${glue}${chance.pick(['GB', 'gb', 'GB', 'G'])}`
  }
  if (part.role === 'storage' && capacityGb !== undefined) {
    const size = wrongSize ? capacityGb * 2 : capacityGb
    return size >= 1000 ? `${size / 1000}${glue}${chance.pick(['TB', 'tb'])}` : `${size}${glue}${chance.pick(['GB', 'gb'])}`
  }
  if (part.role === 'memory' && capacityGb !== undefined) {
    const total = wrongSize ? capacityGb * 2 : capacityGb
    const each = total / kitCount
    const generation = chance.pick([memoryGeneration!, memoryGeneration!, memoryGeneration!.toLowerCase(), memoryGeneration!.replace('DDR', 'DDR ')])
    const whole = `${total}${glue}GB`
    const kit = chance.pick([`${kitCount}x${each}GB`, `${kitCount} x ${each} GB`, `(${kitCount}x${each})`, `${kitCount}x${each}gb`])
    return kitCount === 1 ? `${whole} ${generation} ${chance.pick(['single stick', '1 stick', `1x${total}GB`])}` : chance.pick([`${whole} ${kit} ${generation}`, `${kit} ${generation}`, `${generation} ${whole} ${kit}`])
  }
  return ''
}

function slip(word: string, chance: Chance): string {
  if (word.length < 5 || /\d/.test(word)) return word
  const at = chance.whole(1, word.length - 2)
  return chance.happens(0.5) ? word.slice(0, at) + word[at + 1] + word[at] + word.slice(at + 2) : word.slice(0, at) + word.slice(at + 1)
}

/** A title in one of many human styles. */
export function title(part: CataloguePart, dirt: Dirt, chance: Chance): string {
  const name = typedName(part, chance, sizeWords(part, chance, dirt === 'wrong-size'))
  const kind = chance.pick(kindWords[part.role]!)
  const extra = dirt === 'broken' ? chance.pick(brokenWords) : chance.pick(praise)
  let text = [name, kind, dirt === 'laptop' ? chance.pick(['SO-DIMM', 'laptop memory', 'sodimm']) : '', extra].filter((word) => word !== '').join(' ')
  if (dirt === 'lot') text = chance.pick([`${name} + ${chance.pick(others)} + ${chance.pick(others)}`, `bundle: ${name}, ${chance.pick(others)}, ${chance.pick(others)}`, `Gaming PC ${name} ${chance.pick(others)}`, `job lot ${name} and more`])
  if (dirt === 'accessory') text = chance.pick([`${name} box only`, `empty box ${name}`, `bracket for ${name}`, `fan for ${name}`, `cooler for ${name} no card`])
  if (dirt === 'pair') text = chance.pick([`2x ${name}`, `${name} x2`, `pair of ${name}`])
  if (chance.happens(0.03)) text = text.split(' ').map((word) => (chance.happens(0.2) ? slip(word, chance) : word)).join(' ')
  if (chance.happens(0.08)) text = text.toUpperCase()
  else if (chance.happens(0.12)) text = text.toLowerCase()
  if (chance.happens(0.06)) text = `${text}!!`
  return text.trim()
}


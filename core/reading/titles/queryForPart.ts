import { phrases } from '../../text/phrases'
import { pricingDefaults, type PricingAssumptions } from '../../assumptions/groups/pricing'
import type { Part } from '../../parts/part'
import { priceQueryDefaults, type PriceQuery, type VariantFacts } from './priceQuery'
import { normaliseTitle } from './normaliseTitle'

/** The part of a price query that belongs to a part. */
export type PartQuery = Omit<PriceQuery, 'asOf' | 'currency' | 'seed'>

const capacityToken = /^\d+(\.\d+)?(gb|tb)$|^\d+x\d+(gb)?$|^ddr\d$/
const sizeAlone = /^\d+(w|v|mm|rpm)$/
/** Words in a model's name that sellers leave out: what it is, in every language, and what it is like. */
const optionalWords = new Set(
  phrases(`
    kit, nvme, sata, ssd, hdd, desktop, tower, gold, bronze, laptop, graphics, card, gpu, video, cpu, processor,
    motherboard, mainboard, board, memory, ram, modules, power, supply, psu, case, chassis, cooler, cooling, drive,
    grafikkarte, prozessor, arbeitsspeicher, netzteil, gehause, kuhler, festplatte, carte, graphique, processeur, memoire,
    alimentation, boitier, ventirad, disque, tarjeta, grafica, procesador, placa, fuente, caja, disipador, grafikkort,
    processor, minne, natagg, chassi, kylare, moderkort
  `),
)

/**
 * A price query that starts from a part's own specification: the words of its model name, its variant facts, and its
 * sister models (same role, a name that goes on where this one ends) as names that a title must not mean.
 *
 * @param library all parts, among which the sisters are looked for
 */
export function queryForPart(
  part: Part,
  library: readonly Part[],
  { windowDays, halfLifeDays, catchShare }: PricingAssumptions = pricingDefaults,
): PartQuery {
  const own = nameWords(part)
  const must = own.length > 0 ? own : normaliseTitle(part.make)
  const { capacityGb, vramGb, kitCount, memoryGeneration, module } = part.facts
  const size =
    part.role === 'graphics'
      ? vramGb
      : part.role === 'memory' || part.role === 'storage'
        ? capacityGb
        : undefined
  const siblings = siblingNames(part, must, library)
  const variant: VariantFacts = {
    ...(size === undefined ? {} : { capacityGb: size }),
    ...(part.role === 'memory' && kitCount !== undefined ? { kitCount } : {}),
    ...((part.role === 'memory' || part.role === 'motherboard') && memoryGeneration !== undefined
      ? { memoryGeneration }
      : {}),
    ...(part.role === 'memory' && (module === 'desktop' || module === 'laptop') ? { module } : {}),
    ...(part.role === 'storage' && part.facts.interface !== undefined
      ? { interface: part.facts.interface }
      : {}),
    ...(part.role === 'storage' && part.facts.drive !== undefined ? { drive: part.facts.drive } : {}),
    ...(part.role === 'motherboard' ? boardSizeOf(part) : {}),
    ...(namesItsSpeed(part) ? { speedMts: part.facts.speedMts! } : {}),
    ...(part.role === 'cpu' && part.facts.cores !== undefined ? { cores: part.facts.cores } : {}),
    ...((part.role === 'cpu' || part.role === 'motherboard') && part.facts.socket !== undefined
      ? { socket: part.facts.socket }
      : {}),
    ...(siblings.length > 0 ? { siblings } : {}),
  }
  const { conditions, manners } = priceQueryDefaults
  return {
    role: part.role,
    must,
    mustNot: [],
    variant,
    conditions,
    manners,
    windowDays,
    halfLifeDays,
    catchShare,
    forgiveSlips: true,
  }
}

/** The size of a board as its facts say, or else its name. */
function boardSizeOf({ name, facts }: Part): Pick<VariantFacts, 'formFactor'> {
  if (facts.formFactor !== undefined) return { formFactor: facts.formFactor }
  const words = normaliseTitle(name)
  if (words.includes('itx')) return { formFactor: 'mini-ITX' }
  return words.includes('micro') || words.includes('matx') ? { formFactor: 'micro-ATX' } : {}
}

const namesItsSpeed = ({ role, name, facts }: Part) =>
  role === 'memory' && facts.speedMts !== undefined && name.includes(String(facts.speedMts))

/**
 * The words of a model's name that its titles must have. A number keeps its suffix as one phrase (`640 S`), so that
 * a stray letter elsewhere in a title is not taken for it.
 */
function nameWords(part: Part): readonly string[] {
  let words = wordsOfPart.get(part)
  if (!words) wordsOfPart.set(part, (words = readNameWords(part)))
  return words
}

/** Every part asks for the words of every other of its role: read once a part, as long as the part lives. */
const wordsOfPart = new WeakMap<Part, readonly string[]>()

function readNameWords(part: Part): string[] {
  const make = new Set(normaliseTitle(part.make))
  const hasSize = part.role === 'graphics' || part.role === 'memory' || part.role === 'storage'
  const words = normaliseTitle(part.name).filter(
    (token) =>
      !(hasSize && capacityToken.test(token)) &&
      !optionalWords.has(token) &&
      // the speed of memory is seldom in a title
      !(part.role === 'memory' && token === String(part.facts.speedMts)),
  )
  const withoutMake = words.filter((token) => !make.has(token))
  // a name of nothing but its make and a size (`650 W`) keeps them: others make as many watts
  const isNamed = !withoutMake.every((token) => sizeAlone.test(token))
  // `Sparrow 650` is sold as often as `Sparrow 650W`: the bare figure meets both
  const named = isNamed ? withoutMake.map(bareWatts) : words
  const kept = named.length > 0 ? named : normaliseTitle(part.name).filter((token) => !make.has(token))
  return joinSuffixes(kept)
}

const bareWatts = (token: string) => token.replace(/^(\d{3,4})w$/, '$1')

function joinSuffixes(words: readonly string[]): string[] {
  const joined: string[] = []
  for (const word of words) {
    const last = joined.at(-1)
    if (last !== undefined && /^\d{2,}$/.test(last) && /^[a-z]{1,2}$/.test(word))
      joined[joined.length - 1] = `${last} ${word}`
    else joined.push(word)
  }
  return joined
}

/**
 * Names by which titles mean another model of the same role: its whole name where it shares a word with this one, the
 * model number with the suffix that follows where this name ends (`640 S`), and words that stand inside a longer
 * name (`cube` in one that is otherwise the same).
 */
function siblingNames(part: Part, must: readonly string[], library: readonly Part[]): string[] {
  const own = must.flatMap((word) => word.split(' ')).map(bareWatts)
  const names = new Set<string>()
  for (const other of library) {
    if (other.id === part.id || other.role !== part.role) continue
    const words = nameWords(other)
      .flatMap((word) => word.split(' '))
      .map(bareWatts)
    if (words.join(' ') === own.join(' ') || !words.some((word) => own.includes(word))) continue
    const goesOn = words.length > own.length && own.every((word, index) => words[index] === word)
    // the model number with its suffix is what a title says; the line's name is often left out
    if (goesOn) names.add(words.slice(Math.max(0, own.length - 1)).join(' '))
    else {
      const isShorter = words.every((word) => own.includes(word))
      if (!isShorter || (words.length > 1 && !own.join(' ').includes(words.join(' '))))
        names.add(words.join(' '))
      if (own.every((word) => words.includes(word)))
        for (const word of words) if (!own.includes(word) && word.length > 2) names.add(word)
    }
  }
  const withWatts = part.role === 'supply' ? [...names].map((name) => name.replace(/\b\d{3,4}$/, '$&w')) : []
  return [...new Set([...names, ...withWatts])].sort()
}

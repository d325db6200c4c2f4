import type { Role } from '../../parts/part'
import { plainText } from '../../text/plainText'

/** Words that speak for a role, with how much each says. */
const signs: Readonly<Partial<Record<Role, readonly (readonly [RegExp, number])[]>>> = {
  graphics: [
    [/\b(graphics card|video card|grafikkarte|carte graphique|grafikkort|tarjeta grafica|gpu)\b/, 4],
    [/\bgddr\d?x?\b|\bhbm\d?\b/, 4],
    [/\b\d{1,2} ?gb (?:gpu|card)\b|\b(?:dual|triple) fan\b/, 2],
    [
      /\b(boost clock|shaders|ray accelerators|stream processors|board power|tgp|tbp|video memory|vram|slot width|slots? thick)\b/,
      2,
    ],
    [/\b(hdmi|displayport)\b/, 1],
    [/\brecommended (psu|power supply|supply)\b/, 2],
  ],
  motherboard: [
    [/\b(motherboard|mainboard|mobo|carte mere|moderkort|placa base|board)\b/, 4],
    [/\b(?:m-?itx|itx|m-?atx|micro-?atx|e-?atx|atx)\b.*\bddr\d|\bddr\d.*\b(?:itx|m-?atx|atx)\b/, 4],
    [/\b(dimm|memory) slots?\b|\b\d\s?x\s?(so-?)?dimm\b/, 3],
    [/\b(chipset|audio codec|lan chip|vrm|m\.2 slots?|sata ports?|rear i\/o|fan headers?)\b/, 2],
  ],
  cpu: [
    [/\b(cpu|processor|prozessor|processeur|procesador)\b(?! (cooler|clearance|kuhler|kylare))/, 3],
    [/\b(cores?|threads?|kerne|coeurs|karnor|nucleos)\b/, 2],
    [/\b(base clock|base frequency|turbo|l3 cache|cache|lithography|tdp)\b/, 1],
    [/\b\d{1,2}c\/\d{1,2}t\b/, 3],
  ],
  memory: [
    [/\b(ram|memory kit|desktop memory|laptop memory|arbeitsspeicher|ram-minne|memoria ram|barrettes?)\b/, 3],
    [/\b(so-?dimm|udimm|dimm)\b(?! slots?)/, 2],
    [/\bddr\d l?|\bddr\d\b|\bpc\d-?\d{4,5}\b/, 2],
    [/\b(cas latency|cl\s?\d{2}|timings?|latency|modules? in (the )?kit|kit of)\b/, 3],
    [/\b\d\s?x\s?\d{1,2}\s?gb\b/, 3],
  ],
  storage: [
    [
      /\b(ssd|hdd|hard drive|hard disk|nvme|solid state|festplatte|disque dur|harddisk|harddrive|disco duro)\b/,
      4,
    ],
    [
      /\b(sequential read|tbw|endurance|(?<!fan[^\n]{0,30})\d{4} ?rpm|2\.5"?|3\.5"? drive|write speed|read speed)\b/,
      2,
    ],
    [/\bm\.2 22\d\d\b/, 2],
  ],
  supply: [
    [/\b(power supply|psu|netzteil|alimentation|nataggregat|fuente)\b/, 4],
    [/\b80\s?(plus|\+)/, 4],
    [/\b(modular|pcie connectors?|\+12 ?v|rail|eps|6\+2)\b/, 2],
  ],
  case: [
    [
      /\b(case|chassis|chassi|datorlada|gehause|boitier|caja|tower case|mid tower|full tower|midi tower)\b(?! fan)/,
      3,
    ],
    [
      /\b(gpu|card|vga|graphics card|graphics) (clearance|length)|(cpu )?cooler clearance|\bmax(imum)?\.? (gpu|card|cooler|cpu)|side panel|tempered glass|drive bays|dust filters?\b/,
      4,
    ],
    [/\n(?:gpu|card|cooler|psu)\s*[:|]\s*(?:up to|max)/, 4],
    [/\bmotherboard support|motherboard compatibility|board sizes?|motherboards?: /, 3],
  ],
  cooler: [
    [
      /\b(cpu cooler|cooler|heatsink|liquid cooler|aio|radiator size|kuhler|ventirad|kylare|refrigerador|air cooler)\b/,
      4,
    ],
    [
      /\bsockets: |\bfan: .*\brpm\b|\b(heat ?pipes?|fan speed|airflow|noise level|static pressure|tdp rating|socket support|socket compatibility)\b/,
      2,
    ],
  ],
  donor: [
    [
      /\b(office (pc|computer|tower)|desktop (pc|computer)|small form factor(?! (?:case|psu|power))|workstation|all-in-one)\b/,
      4,
    ],
  ],
  extra: [
    [
      /\b(adapter|adaptor|cable|bracket|splitter|riser|controller|licence|license|shield|screws|antenna|hub)\b/,
      3,
    ],
  ],
}

/** Words of a heading count more than those of the lines below it, and its first noun most. */
const headingWeight = 2
const firstNoun = 3

/**
 * What a part is, by the words of its name or specification; null where nothing says it.
 *
 * @example roleOf('Anvil 650 W 80+ gold, modular') // 'supply'
 */
export function roleOf(text: string): Role | null {
  const plain = plainText(text)
  const [heading = ''] = plain.trim().split('\n')
  const body = plain.slice(heading.length)
  if (listsItsParts(plain)) return 'donor'
  let best: Role | null = null
  let most = 1
  const nounAt = (role: Role) => signs[role]?.[0]?.[0].exec(heading)?.index ?? Infinity
  const earliest = Math.min(...(Object.keys(signs) as Role[]).map(nounAt))
  for (const [role, list] of Object.entries(signs) as [Role, readonly (readonly [RegExp, number])[]][]) {
    // what a thing is called stands in its heading; below it `cooler: yes` says little
    const score = list.reduce(
      (sum, [sign, weight], index) =>
        sum +
        (sign.test(heading) ? headingWeight * weight : sign.test(body) ? (index === 0 ? 1 : weight) : 0),
      nounAt(role) === earliest && earliest < Infinity ? firstNoun : 0,
    )
    if (score > most) [best, most] = [role, score]
  }
  return best ?? bySize(plain)
}

const partKeys = [
  /^(?:processor|cpu|prozessor|processeur|procesador)\b/,
  /^(?:memory|ram|speicher|arbeitsspeicher|memoire|memoria|minne)\b/,
  /^(?:storage|drive|hdd|ssd|festplatte|disque|disco|lagring)\b/,
]
/** A specification has no more lines; a page of anything is not looked through for the parts of a machine. */
const longestSpec = 60

/** Processor, memory and storage, each on a line of its own below the name: a whole machine. */
function listsItsParts(plain: string): boolean {
  const lines = plain.split('\n').slice(1, longestSpec)
  return partKeys.every((key) => lines.some((line) => key.test(line.trim())))
}

/**
 * The role that a noun in the text names, such as `power supply`; null where none is named. Surer than `roleOf`, which
 * also weighs what is said around it.
 */
export function roleNamed(text: string): Role | null {
  const plain = plainText(text)
  let found: Role | null = null
  let first = Infinity
  for (const [role, list] of Object.entries(signs) as [Role, readonly (readonly [RegExp, number])[]][]) {
    const at = list[0]?.[0].exec(plain)?.index ?? Infinity
    if (at < first) [found, first] = [role, at]
  }
  return found
}

/** Watts alone are a supply, a capacity alone is a drive or memory by its size. */
function bySize(plain: string): Role | null {
  if (/\b\d{3,4}\s?w(att)?s?\b/.test(plain)) return 'supply'
  if (/\b\d+\s?(tb|to)\b/.test(plain)) return 'storage'
  return null
}

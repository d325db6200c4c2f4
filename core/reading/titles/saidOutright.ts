import type { Role } from '../../parts/part'
import { plainText } from '../../text/plainText'
import type { Verdict } from './dropReasons'

/**
 * What some titles say in so many words that nothing around them changes it. Each is a pattern over the title in plain
 * letters, with what it says of a role; the other questions of the sieve look at single words and what stands beside
 * them.
 */
interface Outright {
  readonly pattern: RegExp
  readonly roles: readonly Role[] | 'all'
  readonly reason: Verdict['reason']
  readonly says: string
}

/** One of several patterns. */
const either = (...patterns: readonly RegExp[]) => new RegExp(patterns.map(({ source }) => source).join('|'))

const machineNouns = 'pc|rig|build|computer|tower|desktop|setup|rechner|dator|ordinateur|ordenador|system'
const sized = '\\d+ ?(?:gb|tb|go|to)\\b'
const carriesFrames: readonly Role[] = ['graphics', 'cpu']

const outright: readonly Outright[] = [
  {
    // `i have a pc quill 70 8gb 16gb ram 500gb ssd`
    pattern: new RegExp(
      `\\b(?:${machineNouns})\\b(?! (?:case|psu|part|ram|memory)).*${sized}.*${sized}|${sized}.*${sized}.*\\b(?:${machineNouns})$`,
    ),
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'cooler'],
    reason: 'lot',
    says: 'a machine with its sizes',
  },
  {
    pattern: new RegExp(
      `\\b(?:${machineNouns}|laptop|notebook|torre|tour)s? (?:gaming |gamer )?(?:w|mit|med|avec|con)\\b|\\b(?:${machineNouns}) \\d+ ?gb\\b|\\baio 2\\d\\b`,
    ),
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'cooler', 'storage', 'memory'],
    reason: 'lot',
    says: 'a machine with it',
  },
  {
    pattern: either(
      /\b1[1-8][.,]\d ?(?:"|''|inch|in\b|zoll|pouces|tum|pulgadas)|\b1[3-7][.,][36]\b/,
      /\bgaming book\b/,
    ),
    roles: carriesFrames,
    reason: 'lot',
    says: 'a machine with a screen',
  },
  {
    pattern: /(?<!\b(?:for|my|an|in) )\begpu (?:box|dock|case|enclosure|setup|set|complete|kit|gehause)\b/,
    roles: ['graphics'],
    reason: 'lot',
    says: 'a box around it',
  },
  {
    pattern: /\b(?:\d|two|four) ?-?bay\b|\bnas (?:complete|box|server|enclosure|system|gehause)\b/,
    roles: ['storage'],
    reason: 'lot',
    says: 'a box around it',
  },
  {
    pattern: either(
      /\bwater ?-?cooled\b|\bwassergekuhlt\b|\brefroidi par eau\b|\bvattenkyld\b/,
      /\b(?:incl\.?|with|mit|inkl\.?) (?:ek |water ?)?block\b/,
    ),
    roles: ['graphics'],
    reason: 'wrong-variant',
    says: 'with a block for water',
  },
  {
    pattern: either(
      /\b(?:shunt |vram |bios )?modded\b|\breflashed\b|\bmodded (?:to|bios)\b|\bfake\b/,
      /\bcounterfeit\b/,
    ),
    roles: ['graphics', 'cpu', 'storage', 'motherboard'],
    reason: 'wrong-variant',
    says: 'changed, or not what it says',
  },
  {
    pattern:
      /^(?:photos?|pictures?|images?|poster|drawing|video|review|guide|foto|bild|bilder) (?:of|von|de|pa|to|for|av)\b/,
    roles: 'all',
    reason: 'accessory',
    says: 'a picture or words about it',
  },
  {
    pattern: either(
      /\b(?:driver|installation|setup|repair|cleaning|repaste|repasting|flash|flashing|data recovery) service\b/,
      /\bremote (?:help|support|setup)\b|\breparatur ?service\b/,
      /\bi (?:will )?(?:repair|fix|build)\b/,
    ),
    roles: 'all',
    reason: 'accessory',
    says: 'a service',
  },
  {
    pattern:
      /^(?:boite|box|ovp|karton|kartong|emballage|caja|verpackung) ?(?:\+|&|und|and|et|och|y|fur|for|pour|de|av|till|von)/,
    roles: 'all',
    reason: 'accessory',
    says: 'its box',
  },
  {
    // `fan replacement 92mm`
    pattern: either(
      /\b(?:fans?|cables?|brackets?|panels?|feet|pump|heatsink|cooler|screws?|lufter|kabel|flakt|shroud|backplate) (?:replacement|spare|ersatz)\b/,
      /\bcustom length\b/,
    ),
    roles: 'all',
    reason: 'accessory',
    says: 'a piece for it',
  },
  {
    pattern: either(
      /\bor similar\b|\bcash (?:\+|and|plus) (?:my|your|old)\b|^(?:please|pls) /,
      /\bmust be (?:cheap|under)\b/,
    ),
    roles: 'all',
    reason: 'unwanted-word',
    says: 'somebody wants one',
  },
  {
    pattern:
      /\b(?:chips?|core|caps?|capacitors?|modules?|fans?|shroud|heatsink|item|card|cpu|gpu|die|socket) (?:is |are )?(?:missing|fehlt|fehlen|manquante?s?|saknas|falta)\b/,
    roles: ['graphics', 'cpu', 'memory', 'motherboard', 'storage'],
    reason: 'accessory',
    says: 'not all of it is there',
  },
  {
    pattern: either(
      /\bvoucher\b|\bunused code\b|\binvoice for\b|\bfirmware dump\b|\bdump file\b/,
      /\bservice (?:by|at|for)\b/,
      /\b(?:undervolt\w*|overclock\w*|relid\w*|delid\w*) service\b|^(?:rent|hire)\b/,
      /\b(?:to|for) (?:rent|hire)\b|\bby the (?:week|day|month)\b/,
      /^(?:cd|dvd|disc|disk)\b.*\b(?:drivers?|treiber|pilotes)\b/,
    ),
    roles: 'all',
    reason: 'accessory',
    says: 'paper, files or a service',
  },
  {
    pattern: either(
      /\bagainst (?:your|a|an)\b|^not\b|\bclass performance\b|\bremarked\b|\brelabell?ed\b/,
      /\b(?:raid|stack|box|pile|bag|pallet|array|crate) of\b/,
    ),
    roles: 'all',
    reason: 'unwanted-word',
    says: 'not one such thing for money',
  },
  {
    pattern: either(
      /\b(?:could|can|cannot|can'?t|couldn'?t) ?(?:not )?verify\b|\bnot verified\b/,
      /\bburn(?:t)? marks?\b|\bwobbly\b|\bsometimes (?:boots|works|posts|starts)\b/,
      /\bhalf (?:its|the) (?:cores|fans|ports)\b|\bonly (?:one|1) (?:memory )?channel\b/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'not all of it works, or nobody knows',
  },
  {
    pattern: either(
      /\b(?:home|small|file|media|lab|backup) (?:server|box|pc)\b/,
      /\bin (?:a |an )?(?:prebuilt|tower)\b|\b(?:m?itx|atx|board|cpu) set\b|\bset with\b/,
    ),
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'cooler', 'memory'],
    reason: 'lot',
    says: 'more than it',
  },
  {
    pattern: either(
      /\ball[- ]in[- ]one\b|\btouch(?: ?screen)?\b|\bguts\b|\bno case\b/,
      /\bpower (?:switch|button)\b/,
    ),
    roles: ['donor'],
    reason: 'wrong-variant',
    says: 'another thing, or a piece of it',
  },
  {
    // `5300 16GB`: what a processor takes is said with `up to`
    pattern:
      /(?<!\b(?:up to|supports?|max\.?|bis|jusqu'a|hasta|upp till) (?:ddr\d )?)\b(?:4|8|16|32|64) ?gb\b/,
    roles: ['cpu', 'motherboard'],
    reason: 'lot',
    says: 'with memory',
  },
  {
    // `CPU cooler Dovecote 5300 original`
    pattern:
      /^(?:original |stock |oem |genuine )?(?:cpu|gpu|psu|processor|graphics card|card|board|motherboard) (?:cooler|fans?|heatsink|box|bracket|backplate|cables?|holder|sticker|tray)\b/,
    roles: ['cpu', 'graphics', 'motherboard', 'supply', 'storage', 'memory'],
    reason: 'accessory',
    says: 'a piece of it',
  },
  {
    pattern: either(
      /(?<!\b(?:dual|triple|twin|three|two|single|with|stock|mit|avec|med|[23]) )\b(?:flakt|kylare|lufter|kuhler|ventilateur|ventilador|fan|heatsink|backplate|bracket)s? (?:i|in|dans|en) (?:kartong|box|ovp|karton|boite|caja)\b/,
      /\b(?:m\.? ?2|vrm|slot) cover\b|\bcables? extension\b/,
    ),
    roles: ['cpu', 'graphics', 'motherboard', 'supply', 'storage', 'memory'],
    reason: 'accessory',
    says: 'a piece of it',
  },
  {
    pattern: /\bcooler (?:with|incl\.?|mit|avec|con|med)\b/,
    roles: ['graphics'],
    reason: 'accessory',
    says: 'its cooler',
  },
  {
    pattern: either(
      /\b(?:works|boots|runs) until\b|\bonly (?:boots|works|runs) (?:without|at|in|on)\b/,
      /\bloud bang\b|\bwent bang\b|\bsmoke smell\b|\bsmells of smoke\b|\bmagic smoke\b/,
      /\bsparks\b/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'it works in part, or burnt',
  },
  {
    pattern: /\b(?:pc|computer|rig|rechner|dator|ordinateur) (?:without|ohne|sans|utan|sin)\b/,
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'cooler'],
    reason: 'lot',
    says: 'a machine with it',
  },
  {
    // `2 of 3 ports working`
    pattern:
      /\b(?:[1-5]|one|two|three) (?:of|out of) (?:[2-6]|two|three|four) (?:ports?|fans?|slots?|outputs?|sticks?)\b/,
    roles: 'all',
    reason: 'condition',
    says: 'some of it works',
  },
  {
    // `in Brigg 7020`, `psu in case`
    pattern:
      /(?<!\b(?:tested|used|ran|runs|works|worked|was|tried|getestet|testad) )\bin (?:an? |my |old )*(?:[a-z]{4,} \d{4}$|case\b)/,
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'storage', 'memory'],
    reason: 'lot',
    says: 'in a machine',
  },
  {
    pattern: /\b([4-9][05]0|1[0-6]00) ?w?(?: ?[/,] ?| )(?!\1)([4-9][05]0|1[0-6]00) ?w?\b/,
    roles: ['supply'],
    reason: 'lot',
    says: 'several sizes',
  },
  {
    pattern: either(
      /\b(?:no|without|missing|ohne|sans|utan|sin) (?:psu|power supply|cpu|processor|motherboard|board|netzteil|alimentation)\b/,
      /\bcarcass\b|\bhusk\b/,
    ),
    roles: ['donor'],
    reason: 'accessory',
    says: 'not all of it is there',
  },
  {
    // `Quill 70 Super 8GB`, and not `super quiet`
    pattern: /\d super(?=$| \d| oc\b|,)/,
    roles: ['graphics', 'cpu'],
    reason: 'wrong-variant',
    says: 'another model',
  },
  ...ownKind({
    cpu: 'cpu|processor|prozessor|chip',
    graphics: 'gpu|pcb|core|card|graphics card|karte|carte|kort',
    motherboard: 'board|motherboard|mainboard|mobo',
    cooler: 'cooler|heatsink|kuhler',
    supply: 'psu|power supply|netzteil',
    case: 'case|gehause|boitier|chassi',
  }),
  {
    pattern:
      /\b(?:pc|computer|rig|build|setup|rechner|dator|ordinateur|ordenador)\b(?! ?(?:case|gehause|chassis|chassi|boitier|caja|tower|lada|with|w)\b).*(?:\b\d{4}\b|\d ?gb\b)/,
    roles: ['case'],
    reason: 'lot',
    says: 'a machine in it',
  },
  {
    pattern: /\b(?:8|16|32|4) ?gb (?:stick|module|modul|riegel|barrette|dimm)\b(?!s).*\bfrom (?:a|my|the)\b/,
    roles: ['memory'],
    reason: 'wrong-variant',
    says: 'one out of a kit',
  },
  {
    pattern: either(
      /\bnot (?:showing|showing up|seen|found|read|readable|shown|registering)\b/,
      /\b(?:doesn'?t|does not|won'?t|will not) show(?: up)?\b|\bunreadable\b/,
      /\b(?:don'?t|doesn'?t|does not|won'?t) spin\b|\b(?:doesn'?t|does not|won'?t) pass\b/,
      /\bshut ?downs\b|\block(?:ed)? by\b|\bencrypted and locked\b/,
      /\bspeicher ?controller defekt\b|(?<!\b(?:keine|ohne|no|inga|sin) )\bdefekte[rsnm]?\b/,
    ),
    roles: 'all',
    reason: 'condition',
    says: 'it is not seen, locked or faulty',
  },
]

/** `CPU not included`, `without card`: the thing itself is not there. */
function ownKind(nouns: Readonly<Partial<Record<Role, string>>>): Outright[] {
  return Object.entries(nouns).map(([role, names]) => ({
    pattern: new RegExp(
      `\\b(?:${names}) (?:is |are )?(?:not included|not in it|sold already|nicht (?:enthalten|dabei)|non (?:inclus|inclue|fourni)|no incluid[oa]|ingar (?:ej|inte))\\b|\\b(?:no|without|minus|ohne|sans|utan|sin) (?:the )?(?:${names})(?:$|,| (?:inside|included|in it))`,
    ),
    roles: [role as Role],
    reason: 'accessory',
    says: 'without the thing itself',
  }))
}

/** The verdict of the first such pattern; null where the title says none of them. */
export function saidOutright(
  title: string,
  role: Role | undefined,
  isDamagedWanted: boolean,
): Verdict | null {
  const plain = plainText(title)
  for (const { pattern, roles, reason, says } of outright) {
    if (reason === 'condition' && isDamagedWanted) continue
    if (roles !== 'all' && (role === undefined || !roles.includes(role))) continue
    const said = pattern.exec(plain)
    if (said) return { reason, detail: `${says}: "${said[0].trim().slice(0, 40)}"` }
  }
  return null
}

import type { Role } from '../../../parts/part'
import { either } from '../../../text/either'
import type { Outright } from './outright'

/** Titles that sell a piece of the thing, paper, files or a service, or the thing itself is not there. */
export const piecePatterns: readonly Outright[] = [
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
      /(?<!\b(?:fast|quick|great|good|customer|postal) )\bservice$/,
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
    pattern:
      /\b(?:chips?|core|caps?|capacitors?|modules?|fans?|shroud|heatsink|item|card|cpu|gpu|die|socket) (?:is |are )?(?:missing|fehlt|fehlen|manquante?s?|saknas|falta)\b(?! \w)/,
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
      /\b(?:no|without|missing|ohne|sans|utan|sin) (?:psu|power supply|cpu|processor|motherboard|board|netzteil|alimentation)\b/,
      /\bcarcass\b|\bhusk\b/,
    ),
    roles: ['donor'],
    reason: 'accessory',
    says: 'not all of it is there',
  },
  {
    // `Quill 70 original heatsink`
    pattern:
      /\d(?: ?gb)? (?:original|stock|oem|box|boxed|factory) (?:heatsink|cooler|fans?|kuhler|lufter|flakt|ventirad|shroud|backplate|bracket)$/,
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'storage', 'memory'],
    reason: 'accessory',
    says: 'a piece of it',
  },
  {
    pattern: either(
      /\b(?:picture|photo|foto|image|jpe?g|png|scan) (?:only|for|fur|pour|pa)\b|\b(?:jpe?g|png|pdf)$/,
      /\btest (?:listing|annonce|anzeige|auction)\b|\bdo not (?:buy|bid)\b|\bdon'?t (?:buy|bid)\b/,
      /\b(?:second|first|third|partial|remaining|rest) payment\b|\bauction fee\b|\b(?:shipping|postage) (?:upgrade|label|fee)\b/,
      /\b\d+ (?:tickets?|lose|lots? left|spots?|entries)\b|\bpayment for\b/,
    ),
    roles: 'all',
    reason: 'accessory',
    says: 'paper, files or a fee',
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
    pattern: either(
      /^(?:the )?(?:box|carton|ovp) (?:my|that|of|from)\b|\bcarton (?:with|and)\b|\d(?: ?gb| ?tb)? packaging$/,
      /(?<!\b(?:\d|\dx|two|three|with|and|all|incl\.?|no|without|needs) )\b(?:sata|pcie|atx|eps|cpu|modular|molex) (?:leads?|pigtails?)\b|\bpigtails?$|\bcable mod\b|\bmod kit$|\bsleeved (?:set|cables?|kit)\b|(?<!\b(?:with|no|without|incl\.?|and|plus|a|new|w) )(?<![+&] ?)\bpower cord\b/,
      /\d(?: ?gb| ?tb)? thermal pads?$|\bpad kit$|\bscrews? kit$|\b(?:thermal )?pad (?:kit|set)\b|\bdust plugs?\b|\bbios (?:file|on usb|rom|image)\b|\bduct$/,
      /\b(?:wifi|sound|serial|vga|usb|lan|network) (?:card|module|modul)$|\b(?:socket|ram|retention) (?:lever|latch|clip|module|frame)\b|\bretention$|\bwasher mod\b/,
      /\bcard bracket\b|\blids$|\bplastic (?:case|box|shell)$|\brecovery$/,
    ),
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'storage', 'donor'],
    reason: 'accessory',
    says: 'a piece of it',
  },
  {
    pattern: either(
      /\bglasscheibe\b|\b(?:glass|glas|verre|cristal) (?:panel|ersatz|only|scheibe)\b(?<!\b(?:tempered|with|mit|avec|med) glass panel)/,
      /\d (?:faste|fixation|fijacion|halterung|clips?|feder|schrauben)$/,
    ),
    roles: ['case', 'cooler'],
    reason: 'accessory',
    says: 'a piece of it',
  },
  {
    pattern:
      /\d ?(?:gb|tb|go|to)?(?: nvme| sata| m\.? ?2)* (?:gehause|boitier|caja|kabinett|enclosure|case)$/,
    roles: ['storage'],
    reason: 'accessory',
    says: 'a box for it',
  },
  {
    // with a size it is said of the memory
    pattern: /^(?!.*(?:\dx\d|\d ?(?:gb|go))).*\bheat ?spreaders?(?: only| set)?$/,
    roles: ['memory'],
    reason: 'accessory',
    says: 'a piece of it',
  },
  {
    pattern: /\bswitch$/,
    roles: ['supply'],
    reason: 'accessory',
    says: 'a piece of it',
  },
  {
    pattern:
      /\b(?:no|without|missing|ohne|sans|utan|sin) (?:the )?(?:chipset |vrm )?(?:heatsinks?|coolers?|kuhlkorper|radiateurs?|kylflansar)\b/,
    roles: ['motherboard'],
    reason: 'accessory',
    says: 'not all of it is there',
  },
  {
    pattern:
      /\b(?:no|without|missing|ohne|sans|utan|sin) (?:the )?(?:drive cage|cage|side(?: panel)?|cover|lid|front|deckel|seitenteil)\b/,
    roles: ['donor'],
    reason: 'accessory',
    says: 'not all of it is there',
  },
  {
    pattern: either(
      /^(?:reparatur|reparation|reparacion|repair|reparieren)\b|\breparatur (?:festpreis|ab|service)\b|\breinigung und\b|\bhosting\b|\bbenchmark results?\b|\breview sample\b/,
      /\b(?:attrappe|maquette|dummy|visserie|slotblech|equerre|escuadra|bausatz|verlangerung|key chain|treiber[- ]cd|cap kit|windows[- ]stick)\b/,
      /\bcable (?:d')?alimentation\b|\bplaque arriere\b|\bsupport gpu\b|\b(?:license|licence|lizenz|licens)$|\bkuhler boxed$/,
      /\d(?: ?gb| ?go| ?tb)? (?:caja original|faste|stutze|stod|schrauben?|dissipateur|disipador|kylflans|skruv|halter|support)$/,
      /^support (?:de )?(?:carte|gpu|pour)\b|\b(?:bloque|bloc) (?:de agua|d'eau)\b|\bminiatur\w*/,
      /\b(?:ohne|sans|sin|utan) (?:cpu|processor|processeur|procesador|prozessor|karte|carte|kort|tarjeta)\b.*$/,
    ),
    roles: ['graphics', 'cpu', 'storage', 'supply'],
    reason: 'accessory',
    says: 'a piece of it, or a service',
  },
]

/** `CPU not included`, `without card`: the thing itself is not there. */
function ownKind(nouns: Readonly<Partial<Record<Role, string>>>): Outright[] {
  return Object.entries(nouns).map(([role, names]) => ({
    pattern: new RegExp(
      `\\b(?:${names}) (?:is |are )?(?:not included|not in it|sold already|nicht ` +
        '(?:enthalten|dabei)|non (?:inclus|inclue|fourni)|no incluid[oa]|ingar ' +
        '(?:ej|inte))\\b|\\b(?:no|without|minus|ohne|sans|utan|sin) (?:the ' +
        `)?(?:${names})(?:$|,| (?:inside|included|in it))`,
    ),
    roles: [role as Role],
    reason: 'accessory',
    says: 'without the thing itself',
  }))
}

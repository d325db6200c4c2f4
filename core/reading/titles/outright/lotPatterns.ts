import type { Role } from '../../../parts/part'
import { either } from '../../../text/either'
import type { Outright } from './outright'

const machineNouns = 'pc|rig|build|computer|tower|desktop|setup|rechner|dator|ordinateur|ordenador|system'
const sized = '\\d+ ?(?:gb|tb|go|to)\\b'
const carriesFrames: readonly Role[] = ['graphics', 'cpu']

/** Titles that sell more than the thing: a machine with it, several of it, a part along with it. */
export const lotPatterns: readonly Outright[] = [
  {
    pattern: either(
      /^(?:torre|tour|tower|spel-?dator|spel-?rechner|spiele-?pc|ordi(?:nateur)? (?:gamer|gaming|fixe))\b(?! (?:case|gehause|chassi|cooler|kuhler))/,
      /\begpu\b(?! (?:ready|compatible|tested|dock used))(?<!\b(?:for|my|an|in|fur|pour|para|till) egpu)|\bfully built\b|\bready to (?:play|game)\b/,
    ),
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'memory', 'case'],
    reason: 'lot',
    says: 'a machine with it',
  },
  {
    pattern: /\b(?:mini|micro)[ -]?(?:itx|atx)\b/,
    roles: ['cpu'],
    reason: 'lot',
    says: 'with a board or a case',
  },
  {
    pattern: /\b(?:moderkort|mainboard|board|carte mere|placa)\b.*\b(?:paket|bundle|pack|set|lot)$/,
    roles: ['cpu', 'memory', 'graphics'],
    reason: 'lot',
    says: 'with a board',
  },
  {
    // `i have a pc quill 70 8gb 16gb ram 500gb ssd`
    pattern: new RegExp(
      `\\b(?:${machineNouns})\\b(?! ` +
        `(?:case|psu|part|ram|memory)).*${sized}.*${sized}|${sized}.*${sized}.*\\b(?:${machineNouns})$`,
    ),
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'cooler'],
    reason: 'lot',
    says: 'a machine with its sizes',
  },
  {
    pattern: new RegExp(
      `\\b(?:${machineNouns}|laptop|notebook|torre|tour)s? (?:gaming |gamer ` +
        `)?(?:w|mit|med|avec|con)\\b|\\b(?:${machineNouns}) \\d+ ?gb\\b|\\baio 2\\d\\b`,
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
      /\b(?:home|small|file|media|lab|backup) (?:server|box|pc)\b/,
      /\bin (?:a |an )?(?:prebuilt|tower)\b|\b(?:m?itx|atx|board|cpu) set\b|\bset with\b/,
    ),
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'cooler', 'memory'],
    reason: 'lot',
    says: 'more than it',
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
    pattern: /\b(?:pc|computer|rig|rechner|dator|ordinateur) (?:without|ohne|sans|utan|sin)\b/,
    roles: ['graphics', 'cpu', 'motherboard', 'supply', 'cooler'],
    reason: 'lot',
    says: 'a machine with it',
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
    pattern:
      /(?<!\b(?:fur|pour|para|for|till|sans|sin|ohne|no|pas de|utan|de|on|dans|en|in|sur) (?:la |una |une |un |mi |ma )?)\b(?:carte mere|placa base|hauptplatine)\b/,
    roles: ['cpu', 'memory', 'graphics', 'supply'],
    reason: 'lot',
    says: 'with a board',
  },
  {
    pattern: /\b[1-4]u\b|\brack ?mount\b/,
    roles: ['cpu', 'graphics', 'supply', 'storage'],
    reason: 'lot',
    says: 'in a rack, or for one',
  },
  {
    pattern: /^\d+er\b|\b\d+er[ -]?(?:set|pack|tray|posten|paket)\b/,
    roles: ['cpu', 'graphics', 'motherboard', 'supply', 'storage', 'cooler', 'case', 'donor'],
    reason: 'quantity',
    says: 'several of it',
  },
  {
    pattern:
      /(?:\+|&|\b(?:und|och|et|and|y)) ?(?:gehause|boitier|chassi|lada|case|chassis)\b|\binside (?:a |an |the )?case\b/,
    roles: ['supply'],
    reason: 'lot',
    says: 'with a case',
  },
  {
    pattern:
      /\b(?:pc|computer|rig|build|setup|rechner|dator|ordinateur|ordenador)\b(?! ?(?:case|gehause|chassis|chassi|boitier|caja|tower|lada|with|w)\b).*(?:\b\d{4}\b|\d ?gb\b)/,
    roles: ['case'],
    reason: 'lot',
    says: 'a machine in it',
  },

  {
    pattern: either(
      /^(?:all |my |both |these )?(?:two|three|four|five|six|both|2|3|4|zwei|drei|deux|trois|tva|tre|dos|tres)\b.*\b(?:cards|cpus|boards|drives|units|supplies|psus|karten|cartes|kort)\b/,
      /\bboth (?:cards|of them|units|drives|cpus|boards|sticks|psus)\b|\bmy two\b|^many\b|^job of\b|\btwo of(?: them)?$|\(\d\)$/,
      /\b(?:minimum|min\.?) (?:order|quantity|qty|\d)\b|\bbatch of\b|\bbatch (?:ex|from|sale)\b|\ball must go\b|\bfarm clos/,
      /\bbulk\b|\b(?:two|three|four|five|six|eight|ten|twelve|twenty|\d+) (?:off|units|pieces|pcs|pairs)$|\b(?:[2-9]|\d\d) ?(?:pcs|pce|stk)\b|\bpallet\b/,
    ),
    roles: ['cpu', 'graphics', 'motherboard', 'supply', 'storage', 'cooler', 'case', 'donor'],
    reason: 'quantity',
    says: 'several of it',
  },
  {
    pattern: either(
      /(?<!\b(?:from|for|in|my|our|an?|the|old|any|fits|your|dad'?s|son'?s) )\b(?:gaming|office|media|vr|streaming) (?:machine|station|box|unit|beast|kiste)\b|(?<!\bfor (?:an? |any |your )?(?:\w+ )?)\b(?:ready|capable) (?:pc|computer|desktop|tower|rig)\b/,
      /(?<!\b(?:from|for|in|my|our|an?|the|old|any|fits) )\b(?:mini ?tower|midi ?tower)\b|\d sff$|\bbuild (?:minus|without|less)\b|[1-9]\d* mining$/,
      /\d inside,? .*\b\d{4}\b|\bconsole killer\b|\b(?:steam|game) box\b/,
      /\d in [a-z]{4,} case$|\bmicro in [a-z]{4,} case$/,
    ),
    roles: ['graphics', 'cpu', 'motherboard', 'memory'],
    reason: 'lot',
    says: 'a machine with it',
  },
  {
    // `5300 gaming set`, `B3 micro full kit`, `5300 on B3 board`
    pattern: either(
      /\b(?:gaming|full|complete|upgrade|starter|board|cpu) (?:set|kit)$|\d (?:set|kit|deal|combo)$|\b(?:deal|combo|set) with\b/,
      /\bon (?:a |an |the )?\w+ (?:board|motherboard|mobo|mainboard)$/,
    ),
    roles: ['cpu', 'motherboard'],
    reason: 'lot',
    says: 'more than it',
  },
  {
    // a number of four figures behind the name of a board: the processor on it
    pattern:
      /(?<!\b(?:supports?|compatible|fits|bis|jusqu'a|up to|till|for|fur|pour|para)\b.*)(?<!\b(?:lga|socket|sockel|sockeln|prise|rev|model|no|nr|for|up to|supports?|fclga|ver|v) ?)(?<![\d.])\b(?!19\d\d\b|20\d\d\b)\d{4}$/,
    roles: ['motherboard'],
    reason: 'lot',
    says: 'with a processor',
  },
  {
    pattern:
      /(?:\+|&|\b(?:and|und|et|och|y)) (?:an? |usb |m2 )*(?:enclosure|cloning kit|gehause|boitier|kabinett|carcasa)\b|\bnas$/,
    roles: ['storage'],
    reason: 'lot',
    says: 'a box around it',
  },
  {
    pattern:
      /(?:\+|&|\b(?:and|und|et|och|y|with|med|mit|avec|con)) (?:a |an |the |stock |cpu )*(?:cooler|kuhler|ventirad|kylare|disipador)$/,
    roles: ['motherboard'],
    reason: 'lot',
    says: 'with a cooler',
  },
  {
    pattern: either(
      /\b(?:all|alle|toutes les|alla|todas las) (?:versions?|versionen|modelle|models?|varianten|versiones|versioner)\b/,
      /\b(?:verschiedene|restposten|sammlung|lagerraumung)\b|\bdiverses?\b(?! (?:kabel|cables?|extras|zubehor|spiele|games))/,
      /(?:^|\d )(?:ab|from|a partir de|fran|desde) \d+$|\b(?:ab|desde) \d+ ?(?:eur|euro|kr)?$/,
    ),
    roles: 'all',
    reason: 'lot',
    says: 'one of several',
  },
  {
    pattern: either(
      /\b(?:beide|bada|both|les deux|las dos|los dos|die beiden) ?(?:karten|korten|cartes|cards|tarjetas|cpus|boards)?\b(?= ?$|.*\b(?:karten|korten|cartes|cards)\b)|^(?:les|las|los|die) (?:deux|dos|zwei|beiden)\b/,
      /\b(?:zwei|drei|vier|deux|trois|tva|tre|fyra|dos|tres) (?:stuck|stk|st|styck|stycken|pieces|piezas|unidades|exemplaires)\b/,
      /\b(?:doppelpack|double ?pack|twin ?pack|duo ?pack)\b/,
    ),
    roles: ['cpu', 'graphics', 'motherboard', 'supply', 'storage', 'cooler', 'case', 'donor'],
    reason: 'quantity',
    says: 'several of it',
  },
  {
    // where it sits, in a machine that is sold whole
    pattern: either(
      /\b(?:eingebaut|verbaut|monte|montee|sitter|montada|montado|installed|fitted|built) (?:im|in|i|dans|en|into) (?:einem?|an?|en|un|une|my )? ?(?:komplett|gaming|office)?[ -]?(?:pc|rechner|dator|notebook|laptop|tower|ordinateur|ordenador|computer)\b/,
      /\b(?:ganzer|kompletter|whole|entire|hel|komplett|complete) (?:pc|rechner|dator|computer)\b|\bht ?pc\b|\bthin ?client\b|^sobremesa\b/,
      /^(?!(?:fur|for|pour|para|till|old|ex|from|used|my) )[a-z]+[ -]pc\b(?! (?:graphics|card|part|parts|grafik|case|gehause|memory|ram|psu|cpu|board|motherboard|ssd|netzteil))/,
      /\b(?:board|mainboard|cpu|ram)[ -]?(?:kombi|combo|bundle|bundel)\b|\b(?:laptop|notebook)\b.*\b\d+ ?gb\b/,
    ),
    roles: ['graphics', 'cpu', 'motherboard', 'storage'],
    reason: 'lot',
    says: 'a machine with it',
  },
  {
    pattern: /(?<![\d.,])\b(\d{4}) ?\/ ?(?!\1)\d{4}\b(?! ?(?:mhz|mt|mb))/,
    roles: ['cpu'],
    reason: 'lot',
    says: 'one of several',
  },
  {
    pattern: /\b(?:i|in|im|dans|en) (?:chassi|chassis|gehause|boitier|caja)$/,
    roles: ['supply', 'motherboard', 'cooler'],
    reason: 'lot',
    says: 'in a case',
  },
]

import type { Role } from '../../../parts/part'
import { either, type Outright } from './outright'

const machineNouns = 'pc|rig|build|computer|tower|desktop|setup|rechner|dator|ordinateur|ordenador|system'
const sized = '\\d+ ?(?:gb|tb|go|to)\\b'
const carriesFrames: readonly Role[] = ['graphics', 'cpu']

/** Titles that sell more than the thing: a machine with it, several of it, a part along with it. */
export const lotPatterns: readonly Outright[] = [
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
]

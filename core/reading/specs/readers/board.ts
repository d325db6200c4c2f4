import type { FactReader } from '../factReader'
import { countItems } from '../listedItems'
import {
  number,
  whole,
  watts,
  gigabytes,
  yesWords,
  noWords,
  yesNo,
  answer,
  count,
  countOf,
  countBefore,
  sumOf,
  eps,
  slots,
  fastest,
  generation,
} from '../values'

/** How the facts of CPUs and boards are read. */
export const boardReaders: readonly FactReader[] = [
  {
    fact: 'socket',
    roles: ['cpu', 'motherboard'],
    key: /\b(socket|sockel|sockets supported|cpu socket|socle|zocalo)\b/,
    read: ({ value }) =>
      value
        .replace(/^socket\s+/i, '')
        .split(/[,;(]/)[0]!
        .trim() || null,
  },
  {
    fact: 'cores',
    roles: ['cpu'],
    key: /(^|\b(number of|total|cpu|# of|anzahl|nombre de) )(cores?|kerne|coeurs|karnor|nucleos)\b|\bcore count\b|^cores?\s*\/\s*threads?$|^kerne\s*\/\s*threads$/,
    read: ({ plain }) => count(plain),
  },
  {
    fact: 'threads',
    roles: ['cpu'],
    key: /\b(threads?|hilos|tradar)\b/,
    read: ({ key, plain }) =>
      /cores?|kerne/.test(key) ? whole(/[/|,-]\s*(\d{1,3})/.exec(plain)?.[1] ?? '') : count(plain),
  },
  {
    fact: 'limitW',
    roles: ['cpu'],
    key: /\b(ppt|pl1|package power|sustained|long[- ]term|power limit|dauerleistung)\b/,
    not: /\b(short|pl2|peak|turbo)\b/,
    weight: 2,
    read: ({ plain }) => watts(plain),
  },
  {
    fact: 'limitW',
    roles: ['cpu'],
    key: /\b(tdp|base power|nominal|thermal design|power|verlustleistung|leistungsaufnahme)\b/,
    not: /\b(short|pl2|peak|turbo|maximum|max)\b/,
    weight: 0,
    read: ({ plain }) => watts(plain),
  },
  {
    fact: 'integratedGraphics',
    roles: ['cpu'],
    key: /\b(integrated graphics|graphics|igpu|grafik|onboard graphics|graphiques?|graficos?)\b/,
    not: /\b(clock|frequency|core|card)\b/,
    read: ({ plain }) =>
      !(noWords.test(plain) || /\b(discrete|separate|dedicated|required|dediee?|separata?)\b/.test(plain)),
  },
  {
    fact: 'unlocked',
    roles: ['cpu'],
    key: /\b(unlocked|multiplier|overclockable)\b/,
    read: (line) =>
      /\blocked\b/.test(line.plain) && !/unlocked/.test(line.plain)
        ? false
        : /unlocked/.test(line.plain)
          ? true
          : yesNo(line),
  },
  {
    fact: 'coolerIncluded',
    roles: ['cpu'],
    key: /\b(cooler|kuhler|thermal solution|heatsink|ventirad|boxed)\b/,
    read: (line) => yesNo(line),
  },
  {
    fact: 'formFactor',
    roles: ['motherboard'],
    key: /\b(form ?factor|formfaktor|format|board size|size|facteur de forme|formato|formfaktor)\b/,
    read: answer('formFactor'),
  },
  {
    fact: 'maxMemoryGb',
    roles: ['motherboard'],
    key: /\b(max(imum)?\.?( system)? (memory|ram)|memory capacity|max\.? capacity|most memory|memory size|speicher max)\b|\bmemory\b.*\bmax/,
    read: ({ plain }) => gigabytes(plain),
  },
  {
    fact: 'maxMemoryGb',
    roles: ['motherboard'],
    key: /\b(memory|ram|speicher)\b/,
    weight: 0,
    read: ({ plain }) =>
      gigabytes(
        /(?:up to|max\.?|maximum|bis zu|jusqu'a|hasta|upp till)\s*(\d+\s?[gt]b)/.exec(plain)?.[1] ?? '',
      ),
  },
  {
    fact: 'memorySlots',
    roles: ['motherboard'],
    key: /\b((memory|dimm|ram|speicher) ?(slots?|sockets?|banke|steckplatze)|minnesplatser|emplacements? memoire|ranuras? (de )?memoria|slots? (for )?memory|dimm|memory|speicher)\b/,
    read: ({ plain }) => slots(plain),
  },
  {
    fact: 'maxMemoryMts',
    roles: ['motherboard', 'cpu'],
    key: /\b(memory|ram|speicher)\b/,
    read: ({ plain }) => fastest(plain),
  },
  {
    fact: 'memoryGeneration',
    roles: ['motherboard', 'memory'],
    key: /\b(memory|ram|type|technology|speicher|minnesplatser|minne|memoire|memoria|generation|standard|typ)\b/,
    read: ({ plain }) => generation(plain),
  },
  {
    fact: 'm2Slots',
    roles: ['motherboard'],
    key: /\bm\.?2\b|^storage$/,
    not: /\b(key|wifi|e-key|length)\b/,
    read: ({ key, plain }) =>
      key === 'storage' && !/m\.?2/.test(plain)
        ? null
        : (countBefore(plain, 'm\\.?2') ??
          // `M.2: 2 (1x PCIe 4.0 x4, …)`
          number(/^(\d)\s*\(/.exec(plain)?.[1] ?? '') ??
          (yesWords.test(plain) ? 1 : null)),
  },
  {
    fact: 'sataPorts',
    roles: ['motherboard'],
    key: /\bsata\b|^storage$/,
    read: ({ key, plain }) =>
      key === 'storage' && !plain.includes('sata') ? null : countBefore(plain, 'sata'),
  },
  {
    fact: 'fanHeaders',
    roles: ['motherboard'],
    key: /\bfan (headers?|connectors?)|chassis fan|system fan\b/,
    read: (line) => countItems(line.plain, /\w/) ?? countOf(line),
  },
  {
    fact: 'expansionSlots',
    roles: ['motherboard'],
    key: /\b(expansion slots?|pcie? slots?|slots|erweiterung\w*)\b/,
    not: /\b(memory|dimm|m\.?2|ram)\b/,
    read: ({ plain }) =>
      sumOf(plain, String.raw`pcie?(?:xpress)?(?:\s?e)?\s?(?:\d\.\d)?\s?x\d+|x\d+ slots?`) ?? count(plain),
  },
  {
    fact: 'wireless',
    roles: ['motherboard'],
    key: /\b(wi-?fi|wireless|wlan)\b/,
    read: (line) => (noWords.test(line.plain) ? false : true),
  },
  {
    fact: 'shieldIncluded',
    roles: ['motherboard'],
    key: /\b(i\/?o shield|shield|blende)\b/,
    read: (line) => yesNo(line),
  },
  {
    fact: 'cpuLeads',
    roles: ['motherboard', 'supply'],
    key: /\b(cpu power|eps|atx ?12v|cpu connectors?|12 ?v connectors?|cpu leads?|p4|p8)\b|^cpu$/,
    // `8-pin (4+4)` says one plug twice
    read: ({ plain }) => sumOf(plain.replace(/\(\s*4\s?\+\s?4[^)]*\)/g, ''), eps) ?? count(plain),
  },
  {
    fact: 'cpuLeads',
    roles: ['motherboard', 'supply'],
    key: /\b(power )?(connectors?|cables?|leads?|anschlusse|connecteurs|conectores|kontakter|kablar|kabel)\b/,
    weight: 0,
    read: ({ plain }) =>
      countItems(plain, /\b(?:eps|cpu)\b|4\s?\+\s?4/) ??
      sumOf(plain, String.raw`(?:${eps})\s?(?:eps|cpu|atx ?12v)|(?:eps|cpu)\s?(?:${eps})`),
  },
  {
    fact: 'cpuLeads',
    roles: ['motherboard'],
    key: /^power$/,
    weight: 0,
    read: ({ plain }) => countItems(plain, /\b8[- ]?pin/),
  },
  {
    fact: 'mainPlug',
    roles: ['motherboard', 'supply'],
    key: /\b(main (power|plug|connector)|atx (power|connector|main|24)|24[- ]?pin|power connectors?|mainboard connector|motherboard (power|connector))\b|^(?:power|cables|leads|connectors|anschlusse|connecteurs|conectores|kontakter|kablar|kabel)$/,
    not: /\bcpu\b/,
    read: (line) =>
      /\b24[- ]?(?:pin|pol)|20\s?\+\s?4/.test(line.plain) ? 'ATX24' : answer('mainPlug')(line),
  },
  {
    fact: 'frontUsbC',
    roles: ['motherboard', 'case'],
    key: /\b(usb|front (ports?|panel|i\/o)|i\/o)\b/,
    read: ({ key, plain }) =>
      /type[- ]?c|usb[- ]?c\b/.test(`${key} ${plain}`) &&
      /front|header|case|panel|i\/o/.test(`${key} ${plain}`)
        ? !noWords.test(plain)
        : null,
  },
]
